import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input, Select } from 'antd'
import { useCallback, useState } from 'react'
import { askAnew, keys, api, must, type Account, type Role } from '../../shared/api'
import { Faults, Field, useTask, FormOf } from '../../shared/ui'
import { AccountRow } from './AccountRow'
import styles from './service.module.css'
import { say } from './sentences'

export const ROLES: { value: Role; label: string }[] = [
  { value: 'lead', label: say.leadAlsoManagesAccounts },
  { value: 'specialist', label: say.specialistFits },
  { value: 'viewer', label: say.viewerLooksClientsNamed },
]

const EMPTY = { name: '', email: '', role: 'specialist' as Role, password: '' }

/** The service's accounts; one is made, changed, closed here. */
export function Accounts() {
  const queries = useQueryClient()
  const accounts = useQuery({
    queryKey: keys.accounts(),
    queryFn: async () => (await must(api.GET('/api/accounts'))).accounts,
  })
  const [given, setGiven] = useState(EMPTY)
  const refresh = useCallback(() => askAnew(queries, { queryKey: keys.accounts() }), [queries])
  const add = useTask(
    useCallback(async () => {
      await must(api.POST('/api/accounts', { body: given }))
      setGiven(EMPTY)
      await refresh()
    }, [given, refresh]),
  )
  const onSubmit = () => {
    void add.run()
  }
  const field = (name: 'name' | 'email' | 'password') => ({
    value: given[name],
    required: true,
    onChange: (event: { target: { value: string } }) => setGiven({ ...given, [name]: event.target.value }),
  })
  return (
    <section className={styles.wide} aria-labelledby="accounts">
      <h1 id="accounts">{say.accounts}</h1>
      {accounts.error && <p role="alert">{accounts.error.message}</p>}
      <ul className={styles.accounts}>
        {(accounts.data ?? []).map((account: Account) => (
          <AccountRow key={account.id} account={account} onChanged={refresh} />
        ))}
      </ul>
      <FormOf className={styles.card} onSubmit={onSubmit} aria-labelledby="new-account" refused={add.refused}>
        <h2 id="new-account">{say.newAccount}</h2>
        <div className={styles.fields}>
          <Field label={say.name} at="name">
            <Input {...field('name')} maxLength={120} />
          </Field>
          <Field label={say.eMailAddress} at="email">
            <Input {...field('email')} type="email" />
          </Field>
          <Field label={say.role} at="role">
            <Select<Role>
              value={given.role}
              options={ROLES}
              onChange={(role) => setGiven({ ...given, role })}
            />
          </Field>
          <Field label={say.firstPassword} hint={say.tellThemTheyChange} at="password">
            <Input {...field('password')} minLength={10} autoComplete="off" />
          </Field>
        </div>
        <Faults refused={add.refused} />
        <Button type="primary" htmlType="submit" loading={add.busy}>
          {say.makeAccount}
        </Button>
      </FormOf>
    </section>
  )
}
