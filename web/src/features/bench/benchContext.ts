import { createContext, useContext } from 'react'
import type { BenchView, Button } from '../../shared/api'
import { QUIET, type Live, type LiveByButton } from './live'
import type { ShownTile } from './tiles'

export type BenchMode = { kind: 'off' } | { kind: 'on' } | { kind: 'binding'; button: Button }

export interface BenchState {
  mode: BenchMode
  buttons: Button[]
  /** Source → button. */
  bindings: ReadonlyMap<string, string>
  live: LiveByButton
  tiles: ShownTile[]
  waiting: BenchView['waiting']
  trouble: string | undefined
  loading: boolean
  start: () => void
  stop: () => void
  bind: (button: Button) => void
  unbind: (button: Button) => void
}

export const BenchContext = createContext<BenchState | undefined>(undefined)

export function useBench(): BenchState {
  const bench = useContext(BenchContext)
  if (!bench) throw new Error('useBench stands outside BenchProvider')
  return bench
}

export function useLive(button: string): Live {
  return useBench().live[button] ?? QUIET
}
