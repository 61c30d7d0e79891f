import { useCallback, useEffect, useRef, useState } from 'react'
import { api, must } from '../../shared/api'
import { PasswordInput, PlainButton, PlainInput } from '../../shared/plain'
import { useSessionChanged } from '../../shared/session'
import { Faults, Field, useTask, FormOf } from '../../shared/ui'
import styles from './signin.module.css'
import { say } from './sentences'

/** While there is no service of one's own: its name and its first lead. */
export function FirstService({ leastPassword }: { leastPassword: number }) {
  const changed = useSessionChanged()
  const [open, setOpen] = useState(false)
  const first = useRef<HTMLInputElement>(null)
  useEffect(() => {
    if (open) first.current?.focus()
  }, [open])
  const [given, setGiven] = useState({ service: '', name: '', email: '', password: '' })
  const make = useTask(
    useCallback(async () => {
      await must(api.POST('/api/services', { body: given }))
      await changed()
    }, [given, changed]),
  )
  const onSubmit = () => {
    void make.run()
  }
  const field = (name: keyof typeof given) => ({
    value: given[name],
    required: true,
    onChange: (event: { target: { value: string } }) => setGiven({ ...given, [name]: event.target.value }),
  })
  return (
    <div className={styles.first}>
      <PlainButton aria-expanded={open} onClick={() => setOpen(!open)}>
        {say.setUpYourOwn}
      </PlainButton>
      {open && (
        <FormOf onSubmit={onSubmit} refused={make.refused}>
          <Field label={say.nameService} at="service">
            <PlainInput {...field('service')} maxLength={120} ref={first} />
          </Field>
          <Field label={say.yourName} hint={say.youWillItsFirst} at="name">
            <PlainInput {...field('name')} maxLength={120} autoComplete="name" />
          </Field>
          <Field label={say.yourAddress} at="email">
            <PlainInput {...field('email')} type="email" autoComplete="username" />
          </Field>
          <Field label={say.password} hint={say.charactersMore(String(leastPassword))} at="password">
            <PasswordInput {...field('password')} minLength={leastPassword} autoComplete="new-password" />
          </Field>
          <Faults refused={make.refused} />
          <PlainButton first type="submit" busy={make.busy}>
            {say.setUp}
          </PlainButton>
        </FormOf>
      )}
    </div>
  )
}
