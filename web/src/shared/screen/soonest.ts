import type { Screen } from '../api'

/** So that it has changed when it is asked. */
const A_LITTLE_LATER_MS = 30

/** When the first of some screens changes by itself, in ms from now. */
export function soonest(screens: Pick<Screen, 'due_in_ms'>[]): number | undefined {
  const due = screens.flatMap((one) => (one.due_in_ms === null ? [] : [one.due_in_ms]))
  return due.length > 0 ? Math.min(...due) + A_LITTLE_LATER_MS : undefined
}
