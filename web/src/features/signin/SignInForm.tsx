import { useCallback, useState } from 'react'
import { api, must, type Role, type Session } from '../../shared/api'
import { PasswordInput, PlainButton, PlainInput } from '../../shared/plain'
import { Faults, Field, useTask, FormOf } from '../../shared/ui'
import styles from './signin.module.css'
import { say } from './sentences'

const DEMO: [Role, string][] = [
  ['specialist', say.openDemoAsSpecialist],
  ['lead', say.openDemoAsLead],
  ['viewer', say.openDemoAsViewer],
]

interface Props {
  session: Session
  /** Whose address stands there already. */
  known?: string
  onSignedIn: () => Promise<unknown>
}

/** Address and password, or one press where there is a demo. */
export function SignInForm({ session, known = '', onSignedIn }: Props) {
  const [email, setEmail] = useState(known)
  const [password, setPassword] = useState('')
  const signIn = useTask(
    useCallback(async () => {
      await must(api.POST('/api/session/sign-in', { body: { email, password } }))
      await onSignedIn()
    }, [email, password, onSignedIn]),
  )
  const demo = useTask(
    useCallback(
      async (role: Role) => {
        await must(api.POST('/api/session/demo', { body: { role } }))
        await onSignedIn()
      },
      [onSignedIn],
    ),
  )
  const onSubmit = () => {
    void signIn.run()
  }
  const wrong = signIn.refused?.status === 401 ? signIn.refused.problem.detail : undefined
  return (
    <>
      <FormOf onSubmit={onSubmit} refused={signIn.refused}>
        <Field label={say.eMailAddress} at="email">
          <PlainInput
            type="email"
            autoComplete="username"
            required
            value={email}
            onChange={(event) => setEmail(event.target.value)}
          />
        </Field>
        <Field label={say.passwordAlone} at="password" wrong={wrong}>
          <PasswordInput
            autoComplete="current-password"
            required
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
        </Field>
        {signIn.refused && !wrong && <Faults refused={signIn.refused} />}
        <PlainButton first type="submit" busy={signIn.busy}>
          {say.sign}
        </PlainButton>
      </FormOf>
      {session.demo && (
        <div className={styles.demo}>
          <h3>{say.madeUpSaltmarshRow}</h3>
          {DEMO.map(([role, words]) => (
            <PlainButton key={role} busy={demo.busy} onClick={() => void demo.run(role)}>
              {words}
            </PlainButton>
          ))}
          <Faults refused={demo.refused} />
        </div>
      )}
    </>
  )
}
