import { Button, Input } from 'antd'
import { useCallback, useState, type FormEvent } from 'react'
import { api, must, type Role, type Session } from '../../shared/api'
import { useSessionChanged } from '../../shared/session'
import { Faults, Field, useTask, useTitle } from '../../shared/ui'
import { FirstService } from './FirstService'
import styles from './signin.module.css'

const DEMO: [Role, string][] = [
  ['specialist', 'Open the demo as a specialist'],
  ['lead', 'Open the demo as a lead'],
  ['viewer', 'Open the demo as a viewer'],
]

/** The only page, but joining by a code, that needs no session. */
export function SignInPage({ session }: { session: Session }) {
  useTitle('Sign in')
  const changed = useSessionChanged()
  const [email, setEmail] = useState('')
  const [password, setPassword] = useState('')
  const signIn = useTask(
    useCallback(async () => {
      await must(api.POST('/api/session/sign-in', { body: { email, password } }))
      await changed()
    }, [email, password, changed]),
  )
  const demo = useTask(
    useCallback(
      async (role: Role) => {
        await must(api.POST('/api/session/demo', { body: { role } }))
        await changed()
      },
      [changed],
    ),
  )
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    void signIn.run()
  }
  const wrong = signIn.refused?.status === 401 ? signIn.refused.problem.detail : undefined

  return (
    <main className={styles.page}>
      <section className={styles.what}>
        <h1>Kippen</h1>
        <p>What each button does, how long a press may take, and why that just happened.</p>
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
        <h2 id="sign-in">Sign in</h2>
        <form onSubmit={onSubmit}>
          <Field label="E-mail address">
            <Input
              type="email"
              autoComplete="username"
              required
              value={email}
              onChange={(event) => setEmail(event.target.value)}
            />
          </Field>
          <Field label="Password" wrong={wrong}>
            <Input.Password
              autoComplete="current-password"
              required
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
          </Field>
          {signIn.refused && !wrong && <Faults refused={signIn.refused} />}
          <Button type="primary" htmlType="submit" loading={signIn.busy}>
            Sign in
          </Button>
        </form>
        {session.demo && (
          <div className={styles.demo}>
            <h3>The made-up Saltmarsh Row service</h3>
            {DEMO.map(([role, words]) => (
              <Button key={role} block loading={demo.busy} onClick={() => void demo.run(role)}>
                {words}
              </Button>
            ))}
            <Faults refused={demo.refused} />
          </div>
        )}
        {session.first && <FirstService leastPassword={session.least_password} />}
      </section>
    </main>
  )
}
