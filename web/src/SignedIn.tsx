import { ConfigProvider } from 'antd'
import type { Locale } from 'antd/es/locale'
import { useEffect, useMemo, useState, type ReactNode } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
// Before the router: whoever would go back in the browser is asked first, see there.
import './shared/ui/useBackAsks'
import { kindsPage } from './features/kinds'
import { DIRECTION, LOCALE } from './shared/text'
import { themeFor, useLight } from './shared/theme'
import { later } from './shared/ui'
import { Loading } from './Loading'
import { say } from './sentences'

const CaseloadPage = later(async () => (await import('./features/caseload')).CaseloadPage, <Loading />)
const DeskPage = later(async () => (await import('./features/desk')).DeskPage, <Loading />)
const PaperPage = later(async () => (await import('./features/paper')).PaperPage, <Loading />)
const KindsPage = kindsPage(<Loading />)
const ServicePage = later(async () => (await import('./features/service')).ServicePage, <Loading />)

// What the address leads to comes while the rest is drawn.
const { pathname } = window.location
if (pathname === '/') CaseloadPage.begin()
else if (pathname.startsWith('/clients/')) DeskPage.begin()

/** The library speaks English until its words in the page's language are there. */
function useLibraryWords(): Locale | undefined {
  const [words, setWords] = useState<Locale>()
  useEffect(() => {
    if (LOCALE === 'en') return
    void import('./shared/text/library').then(({ libraryWords }) => libraryWords()).then(setWords)
  }, [])
  return words
}

function InColours({ children }: { children: ReactNode }) {
  const light = useLight()
  const theme = useMemo(() => themeFor(light), [light])
  const words = useLibraryWords()
  return (
    <ConfigProvider
      theme={theme}
      locale={words}
      direction={DIRECTION}
      button={{ autoInsertSpace: false }}
      renderEmpty={() => say.nothingFits}
    >
      {children}
    </ConfigProvider>
  )
}

/** All pages but the way in. */
export function SignedIn() {
  return (
    <InColours>
      <BrowserRouter>
        <Routes>
          <Route path="/" element={<CaseloadPage />} />
          <Route path="/kinds" element={<KindsPage />} />
          <Route path="/kinds/:kind" element={<KindsPage />} />
          <Route path="/service" element={<ServicePage />} />
          <Route path="/clients/:client" element={<DeskPage />} />
          <Route path="/clients/:client/paper/:what" element={<PaperPage />} />
          <Route path="/clients/:client/:step" element={<DeskPage />} />
          <Route path="*" element={<Navigate to="/" replace />} />
        </Routes>
      </BrowserRouter>
    </InColours>
  )
}
