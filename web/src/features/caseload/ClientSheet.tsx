import { useQueryClient } from '@tanstack/react-query'
import { Button, Input, type InputRef } from 'antd'
import { useCallback, useEffect, useRef, useState, type FormEvent } from 'react'
import { api, must, type Client } from '../../shared/api'
import { Faults, Field, useAnnounce, useTask } from '../../shared/ui'
import { useErasure } from './queries'
import styles from './caseload.module.css'

const WHAT_GOES = [
  ['revisions', 'Saved revisions of the fitting'],
  ['presses', 'Recorded messages of presses'],
  ['listeners', 'Listeners with their bindings'],
  ['viewers', 'Viewers who may look'],
] as const

/** A lead's page of one client's data: all of it out, or erased for good. */
export function ClientSheet({ client, onClose }: { client: Client; onClose: () => void }) {
  const queries = useQueryClient()
  const announce = useAnnounce()
  const [erasing, setErasing] = useState(false)
  const [name, setName] = useState('')
  const field = useRef<InputRef>(null)
  useEffect(() => {
    if (erasing) field.current?.focus()
  }, [erasing])
  const goes = useErasure(client.id)
  const erase = useTask(
    useCallback(async () => {
      await must(
        api.POST('/api/clients/{client}/erasure', {
          params: { path: { client: client.id } },
          body: { name },
        }),
      )
      await queries.invalidateQueries({ queryKey: ['clients'] })
      announce(`${client.name} is erased.`)
      onClose()
    }, [client, name, queries, announce, onClose]),
  )
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    void erase.run()
  }
  return (
    <section className={styles.sheet} aria-labelledby="client-data">
      <div className={styles.sheetHead}>
        <h2 id="client-data">Data of {client.name}</h2>
        <Button onClick={onClose}>Close</Button>
      </div>
      <a className={styles.out} href={`/api/clients/${client.id}/everything`} download="client.json">
        Take all data out as one file
      </a>
      <div className={styles.erase}>
        <h3>Erase for good</h3>
        <ul>
          {WHAT_GOES.map(([key, words]) => (
            <li key={key}>
              {words}: {goes.data?.[key] ?? '…'}
            </li>
          ))}
        </ul>
        <p>In the audit trail only that a client was erased stays, without the name.</p>
        {!erasing && (
          <Button danger onClick={() => setErasing(true)}>
            Erase {client.name} …
          </Button>
        )}
        {erasing && (
          <form onSubmit={onSubmit}>
            <Field label={`To erase, type the name: ${client.name}`}>
              <Input ref={field} value={name} onChange={(event) => setName(event.target.value)} />
            </Field>
            <Faults refused={erase.refused} />
            <Button
              danger
              type="primary"
              htmlType="submit"
              disabled={name !== client.name}
              loading={erase.busy}
            >
              Erase for good
            </Button>
            <Button onClick={() => setErasing(false)}>Keep {client.name}</Button>
          </form>
        )}
      </div>
    </section>
  )
}
