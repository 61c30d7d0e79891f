import { useQueryClient } from '@tanstack/react-query'
import { Button, Spin } from 'antd'
import { useEffect, useState } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { leftOnPurpose, useLowRoom, whenSignedOut } from './shared/api'
import { AccountContext, nameOfAccount, useSession, type SignedIn } from './shared/session'
import { later, useFocusKept } from './shared/ui'
import styles from './app.module.css'
import { say } from './sentences'

function Loading() {
  return (
    <main className={styles.alone} aria-busy="true">
      <h1>{say.kippen}</h1>
      <Spin />
    </main>
  )
}

const CaseloadPage = later(async () => (await import('./features/caseload')).CaseloadPage, <Loading />)
const DeskPage = later(async () => (await import('./features/desk')).DeskPage, <Loading />)
const KindsPage = later(async () => (await import('./features/kinds')).KindsPage, <Loading />)
const ServicePage = later(async () => (await import('./features/service')).ServicePage, <Loading />)
const SignInPage = later(async () => (await import('./features/signin')).SignInPage, <Loading />)
const SignInAgain = later(async () => (await import('./features/signin')).SignInAgain, null)
const SessionEnds = later(async () => (await import('./features/signin')).SessionEnds, null)

// What the address leads to comes while it is asked who is there.
const { pathname } = window.location
if (pathname === '/') CaseloadPage.begin()
else if (pathname.startsWith('/clients/')) DeskPage.begin()

/** Everything but joining by a code stands behind the sign-in. */
function Gate() {
  const session = useSession()
  const queries = useQueryClient()
  // Whose session ended by itself: what they were at stays, out of sight, until they are back.
  const [last, setLast] = useState<SignedIn>()
  useEffect(() => whenSignedOut(() => queries.invalidateQueries({ queryKey: ['session'] })), [queries])
  const account = session.data?.account ?? undefined
  if (account && (!last || nameOfAccount(account) !== nameOfAccount(last))) setLast(account)
  if (session.error && !session.data) {
    return (
      <main className={styles.alone}>
        <h1>{say.cantBeReached}</h1>
        <p role="alert">{session.error.message}</p>
        <Button type="primary" onClick={() => void session.refetch()}>
          {say.tryAgain}
        </Button>
      </main>
    )
  }
  if (!session.data) return <Loading />
  const shown = account ?? (leftOnPurpose() ? undefined : last)
  if (!shown) return <SignInPage session={session.data} />
  return (
    <>
      {account ? (
        <SessionEnds session={session.data} />
      ) : (
        <SignInAgain session={session.data} account={shown} />
      )}
      <div key={nameOfAccount(shown)} className={styles.all} hidden={!account} inert={!account}>
        <AccountContext.Provider value={shown}>
          <Routes>
            <Route path="/" element={<CaseloadPage />} />
            <Route path="/kinds" element={<KindsPage />} />
            <Route path="/kinds/:kind" element={<KindsPage />} />
            <Route path="/service" element={<ServicePage />} />
            <Route path="/clients/:client" element={<DeskPage />} />
            <Route path="/clients/:client/:step" element={<DeskPage />} />
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </AccountContext.Provider>
      </div>
    </>
  )
}

/** On every page, for as long as it lasts. */
function NoRoom() {
  if (!useLowRoom()) return null
  return (
    <p role="alert" className={styles.noRoom}>
      <strong>{say.nothingSaved}</strong> {say.makeRoom}
    </p>
  )
}

export function App() {
  useFocusKept()
  return (
    <BrowserRouter>
      <NoRoom />
      <Gate />
    </BrowserRouter>
  )
}
