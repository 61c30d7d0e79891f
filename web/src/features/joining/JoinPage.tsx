import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useCallback, useState, type FormEvent } from 'react'
import { useSearchParams } from 'react-router'
import { Faults, Field, useTask } from '../../shared/ui'
import { join, kept, likelyName, stillJoined } from './joined'
import { JoinedPage } from './JoinedPage'
import styles from './joining.module.css'

/** Opened on the client's own device: type the code, and it listens. */
export function JoinPage() {
  const queries = useQueryClient()
  const [token, setToken] = useState(kept.token)
  const host = useQuery({
    queryKey: ['joined', token],
    enabled: token !== null,
    queryFn: async () => (token ? ((await stillJoined(token)) ?? null) : null),
    refetchInterval: 15_000,
  })
  const leave = useCallback(() => {
    kept.forget()
    setToken(null)
    queries.removeQueries({ queryKey: ['joined'] })
  }, [queries])
  if (token && host.data) return <JoinedPage token={token} host={host.data} onLeave={leave} />
  if (token && host.isPending) return <main className={styles.page} aria-busy="true" />
  return (
    <CodeForm
      ended={token !== null && host.data === null}
      onJoined={(next) => {
        kept.keep(next)
        setToken(next)
      }}
    />
  )
}

function CodeForm({ ended, onJoined }: { ended: boolean; onJoined: (token: string) => void }) {
  const [query] = useSearchParams()
  const [code, setCode] = useState(query.get('code') ?? '')
  const [name, setName] = useState(likelyName)
  const enter = useTask(
    useCallback(async () => onJoined(await join(code, name.trim() || likelyName())), [code, name, onJoined]),
  )
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    void enter.run()
  }
  return (
    <main className={styles.page}>
      <h1>Let this device listen</h1>
      {ended && <p role="status">It was ended at the other side, or has lapsed. Ask for a new code.</p>}
      <form onSubmit={onSubmit} className={styles.form}>
        <Field label="The six characters shown on the other screen">
          <Input
            required
            className={styles.codeField ?? ''}
            autoComplete="off"
            autoCapitalize="characters"
            maxLength={8}
            value={code}
            onChange={(event) => setCode(event.target.value.toUpperCase())}
          />
        </Field>
        <Field label="What this device is called there">
          <Input maxLength={60} value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Faults refused={enter.refused} />
        <Button type="primary" size="large" htmlType="submit" loading={enter.busy}>
          Join
        </Button>
      </form>
      <p>It will send the presses of its buttons, and can see nothing of the other side.</p>
    </main>
  )
}
