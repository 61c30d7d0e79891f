import type { Along, Lane, MovedLane } from '../../shared/api'
import type { BoundaryDraft } from './BoundaryHandle'

/** A lane as it would be with another time: all else of it stays as it is. */
export function moved(lane: Lane, state: MovedLane): Lane {
  const { regions, boundaries, limits, waits, costs, tap_choice } = state
  return {
    ...lane,
    regions,
    boundaries,
    limits,
    tap_choice,
    chips: lane.chips.map((chip) => (chip.off ? chip : { ...chip, wait: waits[chip.gesture] ?? null })),
    empties: lane.empties.map((empty) => ({ ...empty, costs: costs[empty.gesture] ?? [] })),
  }
}

/** What each button's lane would be with the value that a time is being moved to, as far as the core has said so. */
export function movedTo(along: Along, draft: BoundaryDraft): Map<string, MovedLane> {
  const index = along.values_ms.indexOf(draft.valueMs)
  return new Map(
    along.lanes.flatMap(({ buttons, states, at }) => {
      const state = states[at[index] ?? -1]
      return state ? buttons.map((ref) => [ref, state] as const) : []
    }),
  )
}
