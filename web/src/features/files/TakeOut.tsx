import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { api, keys, must, type Button as OneButton, type Desk } from '../../shared/api'
import { useRevision } from '../../shared/fitting'
import { useAccount } from '../../shared/session'
import { OF_PEOPLE } from '../../shared/text'
import { Remap } from './Remap'
import { say } from './sentences'
import styles from './files.module.css'

const WHEN = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium', timeStyle: 'short' })
const AS = [
  ['csv', say.trace],
  ['evemu', say.evemu],
  ['raw', say.raw],
] as const

/** What can be taken out, each in the format that others read. */
export function TakeOut({ desk, buttons }: { desk: Desk; buttons: OneButton[] }) {
  const account = useAccount()
  const at = `/api/clients/${desk.id}`
  return (
    <section aria-labelledby="files-out" className={styles.part}>
      <h3 id="files-out">{say.out}</h3>
      <p className={styles.row}>
        <Button href={`${at}/fitting`} download>
          {say.fitting}
        </Button>
        {account.role === 'lead' && (
          <Button href={`${at}/everything`} download>
            {say.everything(desk.name)}
          </Button>
        )}
      </p>
      <Heard client={desk.id} />
      <Asked client={desk.id} buttons={buttons} />
      <Remap desk={desk} />
    </section>
  )
}

function Heard({ client }: { client: string }) {
  const { data, error } = useQuery({
    queryKey: keys.traces(client, useRevision()),
    queryFn: () => must(api.GET('/api/clients/{client}/traces', { params: { path: { client } } })),
  })
  return (
    <>
      <h4>{say.heard}</h4>
      {error && <p role="alert">{error.message}</p>}
      {data?.streams.length === 0 && <p>{say.nothingHeard}</p>}
      <ul className={styles.list}>
        {data?.streams.map(({ id, listener, began, presses }) => {
          const when = WHEN.format(new Date(began))
          return (
            <li key={id}>
              <span>
                <strong>{listener}</strong> {when}, {say.presses(presses)}
              </span>
              <span className={styles.row}>
                {AS.map(([as, name]) => (
                  <Button
                    key={as}
                    href={`/api/clients/${client}/traces/${id}?as=${as}`}
                    download
                    aria-label={say.traceOf(name, listener, when)}
                  >
                    {name}
                  </Button>
                ))}
              </span>
            </li>
          )
        })}
      </ul>
    </>
  )
}

/** Of each button that has presses of the client's own hand. */
function Asked({ client, buttons }: { client: string; buttons: OneButton[] }) {
  const { data } = useQuery({
    queryKey: keys.tuning(client, useRevision()),
    queryFn: () => must(api.GET('/api/clients/{client}/tuning', { params: { path: { client } } })),
  })
  const own = data?.sittings.filter(({ whose, counted }) => whose === 'client' && counted > 0) ?? []
  const of = buttons
    .map((button) => ({ button, sittings: own.filter((one) => one.button === button.ref) }))
    .filter(({ sittings }) => sittings.length > 0)
  return (
    <>
      <h4>{say.trials}</h4>
      {data && of.length === 0 && <p>{say.noTrials}</p>}
      <p className={styles.row}>
        {of.map(({ button, sittings }) => {
          const asked = new URLSearchParams({
            button: button.ref,
            sittings: sittings.map(({ id }) => id).join(','),
          })
          return (
            <Button key={button.ref} href={`/api/clients/${client}/trials?${asked.toString()}`} download>
              {button.full_name}, {say.presses(sittings.reduce((sum, one) => sum + one.counted, 0))}
            </Button>
          )
        })}
      </p>
    </>
  )
}
