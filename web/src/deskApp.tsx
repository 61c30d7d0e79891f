import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { ConfigProvider } from 'antd'
import { StrictMode, useMemo, type ReactNode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './App'
import { say } from './sentences'
import { themeFor, useLight } from './shared/theme'
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

function InColours({ children }: { children: ReactNode }) {
  const light = useLight()
  const theme = useMemo(() => themeFor(light), [light])
  return (
    <ConfigProvider theme={theme} button={{ autoInsertSpace: false }} renderEmpty={() => say.nothingFits}>
      {children}
    </ConfigProvider>
  )
}

/** What opens for the people who work here. */
export function start(root: HTMLElement): void {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <InColours>
          <Announcer>
            <ErrorBoundary>
              <App />
            </ErrorBoundary>
          </Announcer>
        </InColours>
      </QueryClientProvider>
    </StrictMode>,
  )
}
