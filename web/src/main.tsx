import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import './shared/theme/global.css'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { ConfigProvider } from 'antd'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './App'
import { theme } from './shared/theme'
import { Announcer } from './shared/ui'

const queries = new QueryClient({
  defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: true, staleTime: 2000 } },
})

const root = document.getElementById('root')
if (!root) throw new Error('The page has no root element.')
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <ConfigProvider theme={theme} button={{ autoInsertSpace: false }}>
        <Announcer>
          <App />
        </Announcer>
      </ConfigProvider>
    </QueryClientProvider>
  </StrictMode>,
)
