import { useCallback, useEffect, useRef } from 'react'
import type { Session } from '../../shared/api'
import { useSessionGoesOn, type SignedIn } from '../../shared/session'
import { SignInForm } from './SignInForm'
import styles from './signin.module.css'

/** Over what somebody was at when their session ended: signed in again, they go on there. */
export function SignInAgain({ session, account }: { session: Session; account: SignedIn }) {
  const goesOn = useSessionGoesOn()
  const onSignedIn = useCallback(() => goesOn(account.email), [goesOn, account.email])
  const title = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    title.current?.focus()
    const before = document.title
    document.title = 'Sign in again · Kippen'
    return () => {
      document.title = before
    }
  }, [])
  return (
    <main className={styles.page}>
      <section className={styles.door} aria-labelledby="sign-in">
        <h1>Kippen</h1>
        <h2 id="sign-in" tabIndex={-1} ref={title}>
          Signed out
        </h2>
        <p>
          {account.name} was signed out. Whoever signs in again as {account.email} goes on where it was left,
          with what was being written.
        </p>
        <SignInForm session={session} known={account.demo ? '' : account.email} onSignedIn={onSignedIn} />
      </section>
    </main>
  )
}
