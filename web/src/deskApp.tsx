import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { ConfigProvider } from 'antd'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './App'
import { theme } from './shared/theme'
import { Announcer, ErrorBoundary } from './shared/ui'

const queries = new QueryClient({
  defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: true, staleTime: 2000 } },
})

/** What opens for the people who work here. */
export function start(root: HTMLElement): void {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <ConfigProvider theme={theme} button={{ autoInsertSpace: false }}>
          <Announcer>
            <ErrorBoundary>
              <App />
            </ErrorBoundary>
          </Announcer>
        </ConfigProvider>
      </QueryClientProvider>
    </StrictMode>,
  )
}
