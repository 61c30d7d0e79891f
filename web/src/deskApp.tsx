import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './App'
import { Announcer, ErrorBoundary } from './shared/ui'

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: 1,
      refetchOnWindowFocus: true,
      staleTime: 2000,
      // Kippen may run on this very machine: it is asked whether or not there is a network.
      networkMode: 'always',
    },
  },
})

/** What opens for the people who work here. */
export function start(root: HTMLElement): void {
  // Names in other scripts: not before the page is there.
  void import('./shared/theme/scripts.css')
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <Announcer>
          <ErrorBoundary>
            <App />
          </ErrorBoundary>
        </Announcer>
      </QueryClientProvider>
    </StrictMode>,
  )
}
