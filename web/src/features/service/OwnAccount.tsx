import { Button, Input } from 'antd'
import { useCallback, useState } from 'react'
import { api, must } from '../../shared/api'
import { useAccount, useSessionChanged } from '../../shared/session'
import { Faults, Field, LightChoiceField, useAnnounce, useTask, FormOf } from '../../shared/ui'
import styles from './service.module.css'
import { say } from './sentences'

const EMPTY = { password: '', new_password: '' }

/** One's own password, and the way out of every session at once. */
export function OwnAccount() {
  const account = useAccount()
  const announce = useAnnounce()
  const changed = useSessionChanged()
  const [given, setGiven] = useState(EMPTY)
  const [done, setDone] = useState(false)
  const change = useTask(
    useCallback(async () => {
      await must(api.POST('/api/session/password', { body: given }))
      setGiven(EMPTY)
      setDone(true)
      announce(say.passwordWasChanged)
    }, [given, announce]),
  )
  const everywhere = async () => {
    await must(api.POST('/api/session/sign-out', { body: { everywhere: true } }))
    await changed()
  }
  const onSubmit = () => {
    setDone(false)
    void change.run()
  }
  return (
    <section className={styles.card} aria-labelledby="own-account">
      <h2 id="own-account">{say.myAccount}</h2>
      <p>
        {account.name}, {account.email}
      </p>
      {!account.demo && (
        <FormOf onSubmit={onSubmit} refused={change.refused}>
          <Field label={say.passwordNow} at="password">
            <Input.Password
              required
              autoComplete="current-password"
              value={given.password}
              onChange={(event) => setGiven({ ...given, password: event.target.value })}
            />
          </Field>
          <Field label={say.newPasswordAlone} at="new_password">
            <Input.Password
              required
              autoComplete="new-password"
              value={given.new_password}
              onChange={(event) => setGiven({ ...given, new_password: event.target.value })}
            />
          </Field>
          <Faults refused={change.refused} />
          {done && <p>{say.passwordWasChangedOther}</p>}
          <Button htmlType="submit" loading={change.busy}>
            {say.changePassword}
          </Button>
        </FormOf>
      )}
      <LightChoiceField />
      <Button onClick={() => void everywhere()}>{say.signOutEverywhere}</Button>
    </section>
  )
}
