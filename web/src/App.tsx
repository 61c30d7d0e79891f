import { useQueryClient } from '@tanstack/react-query'
import { Button, Spin } from 'antd'
import { lazy, Suspense, useEffect } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { useLowRoom, whenSignedOut } from './shared/api'
import { AccountContext, useSession } from './shared/session'
import { useFocusKept } from './shared/ui'
import styles from './app.module.css'

// Loaded when they are needed.
const CaseloadPage = lazy(async () => ({ default: (await import('./features/caseload')).CaseloadPage }))
const DeskPage = lazy(async () => ({ default: (await import('./features/desk')).DeskPage }))
const ServicePage = lazy(async () => ({ default: (await import('./features/service')).ServicePage }))
const SignInPage = lazy(async () => ({ default: (await import('./features/signin')).SignInPage }))

function Loading() {
  return (
    <main className={styles.alone} aria-busy="true">
      <h1>Kippen</h1>
      <Spin />
    </main>
  )
}

/** Everything but joining by a code stands behind the sign-in. */
function Gate() {
  const session = useSession()
  const queries = useQueryClient()
  useEffect(() => whenSignedOut(() => queries.invalidateQueries({ queryKey: ['session'] })), [queries])
  if (session.error && !session.data) {
    return (
      <main className={styles.alone}>
        <h1>Kippen can’t be reached</h1>
        <p role="alert">{session.error.message}</p>
        <Button type="primary" onClick={() => void session.refetch()}>
          Try again
        </Button>
      </main>
    )
  }
  if (!session.data) return <Loading />
  if (!session.data.account) return <SignInPage session={session.data} />
  return (
    <AccountContext.Provider value={session.data.account}>
      <Routes>
        <Route path="/" element={<CaseloadPage />} />
        <Route path="/service" element={<ServicePage />} />
        <Route path="/clients/:client" element={<DeskPage />} />
        <Route path="/clients/:client/:step" element={<DeskPage />} />
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
    </AccountContext.Provider>
  )
}

/** On every page, for as long as it lasts. */
function NoRoom() {
  if (!useLowRoom()) return null
  return (
    <p role="alert" className={styles.noRoom}>
      <strong>Nothing is saved just now.</strong> The disk of the computer Kippen runs on is nearly full: make
      room on it. What is there can be read.
    </p>
  )
}

export function App() {
  useFocusKept()
  return (
    <BrowserRouter>
      <NoRoom />
      <Suspense fallback={<Loading />}>
        <Gate />
      </Suspense>
    </BrowserRouter>
  )
}
