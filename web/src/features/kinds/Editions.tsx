import { OF_PEOPLE } from '../../shared/text'
import { Button } from 'antd'
import { useCallback } from 'react'
import { api, must, type KindEdition } from '../../shared/api'
import { Faults, useTask } from '../../shared/ui'
import styles from './kinds.module.css'
import { useAsked, useEditions } from './queries'
import { say } from './sentences'

/** What was kept of a kind before; each can be put back, as its next edition. */
export function Editions({ id, edition }: { id: string; edition: number }) {
  const editions = useEditions(id)
  const asked = useAsked()
  const back = useTask(
    useCallback(
      async (one: KindEdition) => {
        await must(
          api.POST('/api/service/kinds/{shelf}/editions', {
            params: { path: { shelf: id } },
            body: { edition: one.edition, opened_on: edition },
          }),
        )
        await asked()
      },
      [id, edition, asked],
    ),
  )
  return (
    <section className={styles.part} aria-labelledby="editions">
      <h3 id="editions">{say.editions}</h3>
      {editions.error && <p role="alert">{editions.error.message}</p>}
      <ul>
        {(editions.data ?? []).map((one) => (
          <li key={one.edition}>
            {[say.edition(one.edition), say.by(one.said.by ?? ''), when(one.said.at)].join(', ')}{' '}
            {one.edition === edition && <strong>{say.inForce}</strong>}
            {one.gone && <strong>{say.gone}</strong>}
            {one.edition !== edition && !one.gone && (
              <Button loading={back.busy} onClick={() => void back.run(one)}>
                {say.putBack(one.edition)}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Faults refused={back.refused} />
    </section>
  )
}

const when = (at: string | null) => (at ? new Date(at).toLocaleString(OF_PEOPLE) : '')
