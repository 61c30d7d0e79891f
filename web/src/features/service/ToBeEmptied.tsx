import { Button } from 'antd'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api, keys, must } from '../../shared/api'
import { OF_PEOPLE } from '../../shared/text'
import { Faults, useTask } from '../../shared/ui'
import { say } from './sentences'
import styles from './service.module.css'

const DAY = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium' })

/** Devices whose client was erased while they could not be reached: they have its fitting still. */
export function ToBeEmptied() {
  const queries = useQueryClient()
  const { data } = useQuery({
    queryKey: keys.toBeEmptied(),
    queryFn: () => must(api.GET('/api/to-be-emptied')),
  })
  const done = useTask(
    useCallback(
      async (id: string) =>
        queries.setQueryData(
          keys.toBeEmptied(),
          await must(api.POST('/api/to-be-emptied', { body: { id } })),
        ),
      [queries],
    ),
  )
  if (!data || data.devices.length === 0) return null
  return (
    <section className={styles.wide} aria-label={say.toBeEmptied}>
      <h2>{say.toBeEmptied}</h2>
      <p>{say.toBeEmptiedHow}</p>
      <ul>
        {data.devices.map(({ id, kind, since }) => (
          <li key={id}>
            {say.awaySince(kind, DAY.format(new Date(since)))}{' '}
            <Button disabled={done.busy} onClick={() => void done.run(id)}>
              {say.wasEmptied}
            </Button>
          </li>
        ))}
      </ul>
      <Faults refused={done.refused} />
    </section>
  )
}
