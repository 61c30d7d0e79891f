import { useCallback, useMemo, useState } from 'react'
import { useLanesAlong, useSaving, type Spot } from '../../shared/fitting'
import type { BoundaryDraft } from './BoundaryHandle'
import { movedTo } from './moved'

interface Held {
  setting: string
  to: number
  /** That was shown when it was taken hold of. */
  revision: number
}

/** The longest time there is. */
const LONGEST_MS = 5000

/**
 * What can be set, and what comes of it, for the time that is taken hold of. of – the device whose buttons share it,
 * or the button that has it for its own
 */
export function useAlong(client: string, of: string, spot: Spot, draft: BoundaryDraft | undefined) {
  const { queue } = useSaving()
  const [held, setHeld] = useState<Held>()
  const along = useLanesAlong(client, held && { of, ...held, ...spot })
  const data = along.data
  const moving = useMemo(() => (draft && data ? movedTo(data, draft) : undefined), [data, draft])
  const heldNow = held?.setting
  /** The values of a setting, once they are known. */
  const valuesOf = useCallback(
    (setting: string) => (heldNow === setting ? data?.values_ms : undefined),
    [heldNow, data],
  )
  /** Called when one is taken hold of, and again where it goes beyond what is known. */
  const hold = useCallback(
    (setting: string, to: number) => {
      const next = Math.min(LONGEST_MS, Math.ceil(to))
      const revision = queue.shown
      setHeld((now) =>
        now?.setting === setting && now.to >= next && now.revision === revision
          ? now
          : { setting, to: next, revision },
      )
    },
    [queue],
  )
  return { moving, error: along.error, valuesOf, hold }
}
