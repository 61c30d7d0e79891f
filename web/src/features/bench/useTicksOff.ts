import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useRef } from 'react'
import { askAnew, allOf, keys, type BenchView, type Desk } from '../../shared/api'
import { deviceOf } from './binding'

/** A press so long may be what a step of getting ready waits for. */
const HELD_US = 1_000_000

/**
 * A press may be what a device still waits for to be ready: desk and devices are asked anew, once for each number of
 * steps it has open, and for each press that was held.
 */
export function useTicksOff(client: string) {
  const queries = useQueryClient()
  const asked = useRef(new Set<string>())
  return useCallback(
    (view: BenchView) => {
      const hosts = queries.getQueryData<Desk>(keys.desk(client))?.hosts ?? []
      const open = new Map(
        hosts.flatMap((host) => host.devices.map((one) => [one.id, one.open_steps] as const)),
      )
      const isNew = view.tiles.flatMap(({ key, button, touches }) => {
        const steps = open.get(deviceOf({ ref: button })) ?? 0
        const over = touches.filter((touch) => touch.ended_us !== null)
        if (steps === 0 || over.length === 0) return []
        const held = over.some((touch) => (touch.ended_us ?? 0) - touch.began_us >= HELD_US)
        const mark = held ? key : `${deviceOf({ ref: button })} ${String(steps)}`
        if (asked.current.has(mark)) return []
        asked.current.add(mark)
        return [mark]
      })
      if (isNew.length === 0) return
      for (const queryKey of [keys.desk(client), allOf('devices', client)])
        void askAnew(queries, { queryKey })
    },
    [client, queries],
  )
}
