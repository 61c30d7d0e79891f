import { useSyncExternalStore } from 'react'

let low = false
const listeners = new Set<() => void>()

/** What the last answer said of the server’s disk. */
export function roomIsLow(now: boolean): void {
  if (now === low) return
  low = now
  listeners.forEach((listener) => listener())
}

/** Is the server’s disk nearly full, so that nothing is saved? */
export const useLowRoom = () =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => low,
  )
