import { useRevision } from '../../shared/fitting'
import { useQuery } from '@tanstack/react-query'
import { Select } from 'antd'
import { useState } from 'react'
import { keys, api, must, type SittingSummary } from '../../shared/api'
import { sittingName } from './PressesField'
import { percent, say } from './sentences'
import styles from './tune.module.css'

interface Props {
  client: string
  button: string
  sittings: SittingSummary[]
}

/** Presses of one day against those of another: have hands changed, does the timing still fit? */
export function FollowUp({ client, button, sittings }: Props) {
  const [before, setBefore] = useState(sittings.at(-1)?.id)
  const [after, setAfter] = useState(sittings[0]?.id)
  const ready = before !== undefined && after !== undefined && before !== after
  const drift = useQuery({
    queryKey: keys.drift(
      client,
      useRevision(),
      button,
      before,
      after,
      sittings.map((one) => one.counted).join(' '),
    ),
    enabled: ready,
    queryFn: () =>
      must(
        api.GET('/api/clients/{client}/drift', {
          params: { path: { client }, query: { button, before: before ?? '', after: after ?? '' } },
        }),
      ),
  })
  const options = sittings.map((one) => ({ value: one.id, label: sittingName(one) }))
  return (
    <details className={styles.more}>
      <summary>{say.followUp}</summary>
      <div className={styles.row}>
        <label className={styles.inline}>
          {say.before}
          <Select value={before} onChange={setBefore} options={options} popupMatchSelectWidth={false} />
        </label>
        <label className={styles.inline}>
          {say.after}
          <Select value={after} onChange={setAfter} options={options} popupMatchSelectWidth={false} />
        </label>
      </div>
      {drift.error && <p role="alert">{drift.error.message}</p>}
      {drift.data && (
        <>
          <p>{say.rightThen(percent(drift.data.before.right), percent(drift.data.after.right))}</p>
          <Changes list={drift.data.changes} />
          <h4>{say.tiring}</h4>
          <Changes list={drift.data.tiring} />
        </>
      )}
    </details>
  )
}

function Changes({ list }: { list: { what: string; words: string; changed: boolean }[] }) {
  return (
    <ul className={styles.changes}>
      {list.map((one) => (
        <li key={one.what} data-changed={one.changed}>
          {one.words}
        </li>
      ))}
    </ul>
  )
}
