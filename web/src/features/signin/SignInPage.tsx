import type { Session } from '../../shared/api'
import { useSessionChanged } from '../../shared/session'
import { useTitle } from '../../shared/ui'
import { FirstService } from './FirstService'
import { SignInForm } from './SignInForm'
import styles from './signin.module.css'
import { say } from './sentences'

/** The only page, but joining by a code, that needs no session. */
export function SignInPage({ session }: { session: Session }) {
  useTitle(say.sign)
  const changed = useSessionChanged()
  return (
    <main className={styles.page}>
      <section className={styles.what}>
        <h1>{say.kippen}</h1>
        <p>{say.whatEachButtonDoes}</p>
        <svg viewBox="0 0 420 96" aria-hidden="true" className={styles.picture}>
          <path d="M0 84H420" className={styles.ground} />
          <rect x="12" y="38" width="70" height="46" className={styles.tap} />
          <rect x="112" y="38" width="26" height="46" className={styles.tap} />
          <rect x="162" y="38" width="30" height="46" className={styles.tap} />
          <rect x="236" y="38" width="166" height="46" className={styles.long} />
          <path d="M330 20V92" className={styles.line} />
        </svg>
      </section>
      <section className={styles.door} aria-labelledby="sign-in">
        <h2 id="sign-in">{say.sign}</h2>
        <SignInForm session={session} onSignedIn={changed} />
        {session.first && <FirstService leastPassword={session.least_password} />}
      </section>
    </main>
  )
}
