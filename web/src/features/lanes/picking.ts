import type { ButtonChange, Change, Chip, Gesture, Lane } from '../../shared/api'
import type { Spot } from '../../shared/fitting'
import { spotName, type Carried, type Chosen } from '../assign'

/** What carrying to a gesture of a button changes. */
export function carryTo(carried: Carried, spot: Spot, button: string, gesture: Gesture): ButtonChange {
  return {
    kind: 'carry',
    button: carried.button.ref,
    gesture: carried.gesture,
    ...spot,
    copy: carried.copy,
    to: { button, gesture },
  }
}

/** The same for each of several buttons, as one change. */
export function forEach(
  lanes: Lane[],
  make: (lane: Lane) => Extract<Change, { kind: 'several' }>['changes'][number],
): Change {
  return { kind: 'several', changes: lanes.map(make) }
}

/** Where an arrow key leads from one spot in the lanes: along the lane, or to the nearest of the next one. */
export function neighbour(spots: HTMLElement[], here: HTMLElement, key: string): HTMLElement | undefined {
  const lane = (spot: HTMLElement) => spot.closest('[data-button], [data-head]')
  const middle = (spot: HTMLElement) => {
    const box = spot.getBoundingClientRect()
    return box.left + box.width / 2
  }
  const own = spots
    .filter((spot) => lane(spot) === lane(here))
    .sort((one, other) => middle(one) - middle(other))
  const at = own.indexOf(here)
  if (key === 'ArrowRight') return own[at + 1]
  if (key === 'ArrowLeft') return own[at - 1]
  const lanes = [...new Set(spots.map(lane))]
  const next = lanes[lanes.indexOf(lane(here)) + (key === 'ArrowDown' ? 1 : -1)]
  return spots
    .filter((spot) => next !== undefined && lane(spot) === next)
    .sort((one, other) => Math.abs(middle(one) - middle(here)) - Math.abs(middle(other) - middle(here)))[0]
}

/** What an untouched button does stands where its tap would. */
export function gestureOf(chip: Chip): Gesture {
  return chip.gesture === 'builtin' ? 'tap' : chip.gesture
}

/** A place of a gesture, with what stands on it. */
export interface LanePlace extends Chosen {
  chip: Chip | undefined
}

/** The place of that name among some lanes. */
export function placeOf(lanes: readonly Lane[], name: string): LanePlace | undefined {
  const lane = lanes.find((one) => name.startsWith(`${one.button.ref} `))
  const chip = lane?.chips.find((one) => spotName(lane.button.ref, gestureOf(one)) === name)
  if (lane && chip) return { button: lane.button, gesture: gestureOf(chip), chip }
  const empty = lane?.empties.find((one) => spotName(lane.button.ref, one.gesture) === name)
  return lane && empty ? { button: lane.button, gesture: empty.gesture, chip: undefined } : undefined
}
