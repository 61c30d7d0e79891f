import type { BenchView } from '../../shared/api'

/** What a button is doing just now, as this browser hears it; times as performance.now(). */
export interface Live {
  down: boolean
  downAtMs?: number
  upAtMs?: number
  /** When nothing more was waited for. */
  overAtMs?: number
}

export const QUIET: Live = { down: false }

export type LiveByButton = Readonly<Record<string, Live>>

export function pressed(live: LiveByButton, button: string, atMs: number): LiveByButton {
  return { ...live, [button]: { down: true, downAtMs: atMs } }
}

export function released(live: LiveByButton, button: string, atMs: number): LiveByButton {
  const before = live[button]
  return before ? { ...live, [button]: { ...before, down: false, upAtMs: atMs } } : live
}

/** Buttons that are up and wait for nothing stand still. */
export function settled(live: LiveByButton, waiting: BenchView['waiting'], atMs: number): LiveByButton {
  const waits = new Set(waiting.map((item) => item.button))
  const still = (button: string, one: Live) =>
    one.upAtMs !== undefined && one.overAtMs === undefined && !waits.has(button)
  if (!Object.entries(live).some(([button, one]) => still(button, one))) return live
  return Object.fromEntries(
    Object.entries(live).map(([button, one]) => [
      button,
      still(button, one) ? { ...one, overAtMs: atMs } : one,
    ]),
  )
}
