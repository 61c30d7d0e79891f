import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { PlainButton } from './shared/plain'
import { keys, leftOnPurpose, useLowRoom, whenSignedOut } from './shared/api'
import {
  AccountContext,
  nameOfAccount,
  useSession,
  wasHere,
  type SignedIn as Account,
} from './shared/session'
import { useFocusOwner } from './shared/focus'
import { later } from './shared/ui'
import { Loading } from './Loading'
import styles from './app.module.css'
import { say } from './sentences'

const SignedIn = later(async () => (await import('./SignedIn')).SignedIn, <Loading />)
const SignInPage = later(async () => (await import('./features/signin')).SignInPage, <Loading />)
const SignInAgain = later(async () => (await import('./features/signin')).SignInAgain, null)
const SessionEnds = later(async () => (await import('./features/signin')).SessionEnds, null)

// Whoever was signed in when this browser was here last is so, most likely: the pages come while it is asked.
if (wasHere()) SignedIn.begin()
else SignInPage.begin()

/** Everything but joining by a code stands behind the sign-in. */
function Gate() {
  const session = useSession()
  const queries = useQueryClient()
  // Whose session ended by itself: what they were at stays, out of sight, until they are back.
  const [last, setLast] = useState<Account>()
  useEffect(() => whenSignedOut(() => queries.invalidateQueries({ queryKey: keys.session() })), [queries])
  const account = session.data?.account ?? undefined
  if (account && (!last || nameOfAccount(account) !== nameOfAccount(last))) setLast(account)
  if (session.error && !session.data) {
    return (
      <main className={styles.alone}>
        <h1>{say.cantBeReached}</h1>
        <p role="alert">{session.error.message}</p>
        <PlainButton first onClick={() => void session.refetch()}>
          {say.tryAgain}
        </PlainButton>
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
          <SignedIn />
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
  useFocusOwner()
  return (
    <>
      <NoRoom />
      <Gate />
    </>
  )
}
