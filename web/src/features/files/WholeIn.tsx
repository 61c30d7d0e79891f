import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useCallback } from 'react'
import { api, askAnew, keys, must, Refused, type Desk } from '../../shared/api'
import { Faults, useAnnounce, useTask } from '../../shared/ui'
import { List } from './Looked'
import { say } from './sentences'

const COUNTED = {
  streams: say.streams,
  sittings: say.sittings,
  trials: say.trialsIn,
  fits: say.fits,
  handovers: say.handovers,
  hand_ticks: say.ticks,
}

/** All that was kept of a client, into this one: its fitting as the next revision, and what isn't here yet. */
export function WholeIn(props: { desk: Desk; id: string; file: Record<string, unknown> }) {
  const { desk, id, file } = props
  const client = desk.id
  const revision = desk.revision.number
  const queries = useQueryClient()
  const announce = useAnnounce()
  const ask = useCallback(
    (onto?: number) =>
      must(
        api.POST('/api/clients/{client}/whole', {
          params: { path: { client }, query: onto === undefined ? {} : { onto } },
          body: { kippen: 'client/1', revisions: [] },
          bodySerializer: () => JSON.stringify(file),
        }),
      ),
    [client, file],
  )
  const looked = useQuery({
    queryKey: keys.wholeLook(client, revision, id),
    queryFn: () => ask(),
    retry: false,
  })
  const task = useTask(
    useCallback(async () => {
      await ask(revision)
      announce(say.wholeDone)
      await askAnew(queries, { predicate: ({ queryKey }) => queryKey[1] === client })
    }, [ask, revision, announce, queries, client]),
  )
  if (looked.error) return <Faults refused={looked.error instanceof Refused ? looked.error : undefined} />
  if (!looked.data) return <p>{say.working}</p>
  const { words = [], counts = {}, own = false } = looked.data
  const comes = Object.entries(COUNTED).flatMap(([name, said]) =>
    (counts[name] ?? 0) > 0 ? [said(counts[name] ?? 0)] : [],
  )
  return (
    <div role="status">
      {!own && <p>{say.ofOther}</p>}
      <p>
        <strong>{say.wouldChange}</strong>
      </p>
      {words.length > 0 ? <List of={words} /> : <p>{say.nothing}</p>}
      {comes.length > 0 && (
        <>
          <p>
            <strong>{say.comesIn}</strong>
          </p>
          <List of={comes} />
        </>
      )}
      <Faults refused={task.refused} />
      <Button
        type="primary"
        loading={task.busy}
        disabled={words.length === 0 && comes.length === 0}
        onClick={() => void task.run()}
      >
        {say.takeWhole}
      </Button>
    </div>
  )
}
