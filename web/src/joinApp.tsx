import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { JoinPage } from './features/joined'
import { Announcer } from './shared/ui/Announcer'

/** What opens on a device that joins by a code. */
export function start(root: HTMLElement): void {
  // Names in other scripts: not before the page is there.
  void import('./shared/theme/scripts.css')
  createRoot(root).render(
    <StrictMode>
      <Announcer>
        <JoinPage />
      </Announcer>
    </StrictMode>,
  )
}
