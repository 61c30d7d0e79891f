import { useLayoutEffect, useState, type ReactNode } from 'react'
import type { Button } from '../../shared/api'
import type { NoticesOf } from '../../shared/fitting'
import { BenchContext, LiveContext, NOT_YET } from './benchContext'
import { LiveStore } from './liveStore'
import { Store } from './store'
import { useBenchState } from './useBenchState'

interface Props {
  client: string
  buttons: Button[]
  /** What is asked anew, by the notice that tells of it. */
  notices: NoticesOf
  children: ReactNode
}

/** Hears presses for the whole desk and keeps what the bench shows, for whoever looks at a part of it. */
export function BenchProvider({ client, buttons, notices, children }: Props) {
  const [live] = useState(() => new LiveStore())
  const [store] = useState(() => new Store({ ...NOT_YET, buttons }))
  const state = useBenchState(client, buttons, notices, live)
  useLayoutEffect(() => store.set(state))
  return (
    <LiveContext.Provider value={live}>
      <BenchContext.Provider value={store}>{children}</BenchContext.Provider>
    </LiveContext.Provider>
  )
}
