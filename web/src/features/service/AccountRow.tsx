import { useQuery } from '@tanstack/react-query'
import { Button, Input, Select } from 'antd'
import { useCallback, useState } from 'react'
import { keys, api, must, type Account, type Role } from '../../shared/api'
import { Faults, Field, useTask } from '../../shared/ui'
import { ROLES } from './Accounts'
import styles from './service.module.css'
import { say } from './sentences'

type Change = Partial<Pick<Account, 'role' | 'open' | 'clients'>> & { unlocked?: true; password?: string }

const NAMES = { lead: 'lead', specialist: 'specialist', viewer: 'viewer' } as const

function state(account: Account): string {
  if (!account.open) return 'closed'
  return account.locked ? say.lockedOutAfterWrong(NAMES[account.role]) : NAMES[account.role]
}

/** One account, with what a lead may change of it. */
export function AccountRow(props: { account: Account; onChanged: () => Promise<unknown> }) {
  const { account, onChanged } = props
  const [open, setOpen] = useState(false)
  const [password, setPassword] = useState('')
  const change = useTask(
    useCallback(
      async (body: Change) => {
        await must(
          api.PATCH('/api/accounts/{account}', { params: { path: { account: String(account.id) } }, body }),
        )
        await onChanged()
      },
      [account.id, onChanged],
    ),
  )
  return (
    <li className={styles.account}>
      <p>
        <strong>{account.name}</strong> <span>{account.email}</span>
        <em>{state(account)}</em>
      </p>
      <Button
        aria-expanded={open}
        aria-label={say.changeAccount(account.name)}
        onClick={() => setOpen(!open)}
      >
        {say.change}
      </Button>
      {open && (
        <div className={styles.details}>
          <Field label={say.role}>
            <Select<Role>
              value={account.role}
              options={ROLES}
              onChange={(role) => void change.run({ role })}
            />
          </Field>
          {account.role === 'viewer' && (
            <Field label={say.clientsTheyMayLook}>
              <ClientPicker value={account.clients} onChange={(clients) => void change.run({ clients })} />
            </Field>
          )}
          <Field label={say.newPassword} hint={say.endsTheirSessions}>
            <Input
              value={password}
              autoComplete="off"
              onChange={(event) => setPassword(event.target.value)}
            />
          </Field>
          <div className={styles.actions}>
            <Button disabled={password.length < 10} onClick={() => void change.run({ password })}>
              {say.setPassword}
            </Button>
            {account.locked && (
              <Button onClick={() => void change.run({ unlocked: true })}>{say.unlock}</Button>
            )}
            <Button danger={account.open} onClick={() => void change.run({ open: !account.open })}>
              {account.open ? say.closeAccount : say.openAccountAgain}
            </Button>
          </div>
          <Faults refused={change.refused} />
        </div>
      )}
    </li>
  )
}

function ClientPicker(props: { id?: string; value: string[]; onChange: (clients: string[]) => void }) {
  const clients = useQuery({
    queryKey: keys.everyClient(),
    queryFn: async () => (await must(api.GET('/api/clients'))).clients,
  })
  return (
    <Select
      {...props}
      mode="multiple"
      optionFilterProp="label"
      options={(clients.data ?? []).map((client) => ({ value: client.id, label: client.name }))}
    />
  )
}
