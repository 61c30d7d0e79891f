import { useCallback, useEffect, useRef } from 'react'
import type { Session } from '../../shared/api'
import { useSessionGoesOn, type SignedIn } from '../../shared/session'
import { SignInForm } from './SignInForm'
import styles from './signin.module.css'
import { say } from './sentences'

/** Over what somebody was at when their session ended: signed in again, they go on there. */
export function SignInAgain({ session, account }: { session: Session; account: SignedIn }) {
  const goesOn = useSessionGoesOn()
  const onSignedIn = useCallback(() => goesOn(account), [goesOn, account])
  const title = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    title.current?.focus()
    const before = document.title
    document.title = say.signAgainKippen
    return () => {
      document.title = before
    }
  }, [])
  return (
    <main className={styles.page}>
      <section className={styles.door} aria-labelledby="sign-in">
        <h1>{say.kippen}</h1>
        <h2 id="sign-in" tabIndex={-1} ref={title}>
          {say.signedOut}
        </h2>
        <p>{say.wasSignedOutWhoever(account.name, account.email)}</p>
        <SignInForm session={session} known={account.demo ? '' : account.email} onSignedIn={onSignedIn} />
      </section>
    </main>
  )
}
