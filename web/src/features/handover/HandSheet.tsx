import { Button } from 'antd'
import { useCallback } from 'react'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { api, askAnew, keys, must, type Desk, type HandLine } from '../../shared/api'
import { HandList, type Tick } from '../../shared/handlist'
import { useRevision } from '../../shared/fitting'
import { Waiting } from '../../shared/plain'
import { useMayChange } from '../../shared/session'
import { Faults, SideSheet, useTask } from '../../shared/ui'
import { CodeShown, useJoins } from '../joining'
import { say } from './sentences'

/** The list of a device that people set: gone through here, or by a carer with a code. */
export function HandSheet({ desk, id, onClose }: { desk: Desk; id: string; onClose: () => void }) {
  const queries = useQueryClient()
  const mayChange = useMayChange()
  const revision = useRevision()
  const params = { path: { client: desk.id } }
  const list = useQuery({
    queryKey: keys.byHand(desk.id, revision, id),
    placeholderData: (before) => before,
    queryFn: () =>
      must(api.GET('/api/clients/{client}/by-hand', { params: { ...params, query: { device: id } } })),
  })
  const ticking = useTask(
    useCallback(
      async (line: HandLine, tick: Tick, why = '') => {
        const body = { device: id, key: line.key, mark: line.mark, tick, why }
        const path = { client: desk.id }
        const now = await must(api.POST('/api/clients/{client}/by-hand', { params: { path }, body }))
        queries.setQueryData(keys.byHand(desk.id, revision, id), now)
        void askAnew(queries, { queryKey: keys.desk(desk.id) })
      },
      [desk.id, id, queries, revision],
    ),
  )
  const name = list.data?.name ?? ''
  return (
    <SideSheet title={say.listOf(name)} onClose={onClose}>
      {list.isPending && <Waiting />}
      {list.error && <p role="alert">{list.error.message}</p>}
      {list.data && <HandList heading="h3" list={list.data} onTick={mayChange ? ticking.run : undefined} />}
      <Faults refused={ticking.refused} />
      {mayChange && list.data && <ForCarer desk={desk} device={id} />}
    </SideSheet>
  )
}

/** A code with which somebody without an account goes through this list, on a phone beside the device. */
function ForCarer({ desk, device }: { desk: Desk; device: string }) {
  const { joins, address, make, end } = useJoins(desk.id)
  const host = desk.hosts.find((one) => one.devices.some(({ id }) => id === device))
  const own = joins.filter(({ lists }) => lists === device)
  const waiting = own.find(({ code }) => code !== null)
  return (
    <section aria-label={say.forCarer}>
      <h3>{say.forCarer}</h3>
      <p>{say.forCarerHow}</p>
      {own
        .filter(({ code }) => code === null)
        .map((one) => (
          <p key={one.id}>
            {say.carerHas(one.name ?? '')}{' '}
            <Button onClick={() => void end.run(one.id)}>{say.endCarer(one.name ?? '')}</Button>
          </p>
        ))}
      {waiting ? (
        <CodeShown join={waiting} address={address} onEnd={() => void end.run(waiting.id)} />
      ) : (
        <Button loading={make.busy} onClick={() => void make.run(host?.id ?? '', device)}>
          {say.makeCode}
        </Button>
      )}
      <Faults refused={make.refused ?? end.refused} />
    </section>
  )
}
