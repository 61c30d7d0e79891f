import { useEffect, useRef } from 'react'

/** How long nothing must have happened before the next is asked; undefined: somebody says so. */
export const PACES = { soon: 1600, slowly: 3500, never: undefined } as const
export type Pace = keyof typeof PACES

/** Whoever was to press more often and has not yet is given so much longer. */
const LONGER = 2.2
/** Resting is over after so long. */
const REST_MS = 6000

export interface Asked {
  number: number
  wants: number
  presses: number
  down: boolean
  paused: boolean
  /** How much was heard: whatever comes, it is waited anew. */
  rows: number
}

/**
 * Goes on once the client has answered and nothing more comes; “now”: as soon as nothing is down. onDone – seen: how much of the answer was seen; tried –
 * how often that failed already: then it is tried again
 */
export function useGoesOn(
  asked: Asked | undefined,
  pace: Pace | 'now',
  onDone: (prompt: number, seen: number) => void,
  tried = 0,
): void {
  const done = useRef(onDone)
  useEffect(() => {
    done.current = onDone
  })
  const number = asked?.number
  const rows = asked?.rows ?? 0
  const wait =
    asked && !asked.paused && !asked.down ? waitOf(asked, pace === 'now' ? 0 : PACES[pace]) : undefined
  useEffect(() => {
    if (wait === undefined || number === undefined) return
    const timer = window.setTimeout(() => done.current(number, rows), wait)
    return () => window.clearTimeout(timer)
  }, [wait, number, rows, tried])
}

function waitOf({ wants, presses }: Asked, pace: number | undefined): number | undefined {
  if (pace === undefined || pace === 0) return pace
  if (wants === 0) return presses > 0 ? pace * LONGER : Math.max(REST_MS, pace)
  if (presses === 0) return undefined
  return presses < wants ? pace * LONGER : pace
}
