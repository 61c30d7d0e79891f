import { useQueryClient } from '@tanstack/react-query'
import { Button, Input, type InputRef } from 'antd'
import { useCallback, useEffect, useRef, useState } from 'react'
import { askAnew, keys, api, must, type Client } from '../../shared/api'
import { Faults, Field, useAnnounce, useTask, FormOf } from '../../shared/ui'
import { useErasure } from './queries'
import styles from './caseload.module.css'
import { say } from './sentences'

const WHAT_GOES = [
  ['revisions', say.savedRevisionsFitting],
  ['presses', say.recordedMessagesPresses],
  ['listeners', say.listenersWithTheirBindings],
  ['viewers', say.viewersWhoMayLook],
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
      await askAnew(queries, { queryKey: keys.clients() })
      announce(say.erased(client.name))
      onClose()
    }, [client, name, queries, announce, onClose]),
  )
  const onSubmit = () => {
    void erase.run()
  }
  return (
    <section className={styles.sheet} aria-labelledby="client-data">
      <div className={styles.sheetHead}>
        <h2 id="client-data">{say.dataWithName(client.name)}</h2>
        <Button onClick={onClose}>{say.close}</Button>
      </div>
      <a className={styles.out} href={`/api/clients/${client.id}/everything`} download="client.json">
        {say.takeAllDataOut}
      </a>
      <div className={styles.erase}>
        <h3>{say.eraseForGood}</h3>
        <ul>
          {WHAT_GOES.map(([key, words]) => (
            <li key={key}>
              {words}: {goes.data?.[key] ?? '…'}
            </li>
          ))}
        </ul>
        <p>{say.auditTrailOnlyThat}</p>
        {!erasing && (
          <Button danger onClick={() => setErasing(true)}>
            {say.erase(client.name)}
          </Button>
        )}
        {erasing && (
          <FormOf onSubmit={onSubmit} refused={erase.refused}>
            <Field label={say.eraseTypeName(client.name)} at="name">
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
              {say.eraseForGood}
            </Button>
            <Button onClick={() => setErasing(false)}>{say.keep(client.name)}</Button>
          </FormOf>
        )}
      </div>
    </section>
  )
}
