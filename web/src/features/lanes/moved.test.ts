import { describe, expect, it } from 'vitest'
import type { Along, Lane, MovedLane } from '../../shared/api'
import { moved, movedTo } from './moved'

const state = (wait: string): MovedLane => ({
  regions: [{ stretch: 'held', kind: 'counts', from_us: 0, to_us: 1 }],
  boundaries: [],
  limits: [],
  waits: { tap: wait },
  costs: { double_tap: [`tap ${wait}`] },
  tap_choice: null,
})
const along: Along = {
  revision: 1,
  values_ms: [100, 200, 300],
  lanes: [
    { buttons: ['a/a', 'a/b'], states: [state('now'), state('+1 ms')], at: [0, 0, 1] },
    { buttons: ['a/c'], states: [state('now')], at: [0, 0, 0] },
  ],
}
const draft = (valueMs: number) => ({ setting: 'tap_gap_ms', valueMs })

describe('lanes along a time', () => {
  it('are those of the value, each for its own buttons', () => {
    const at = movedTo(along, draft(300))
    expect([...at].map(([ref, { waits }]) => [ref, waits['tap']])).toEqual([
      ['a/a', '+1 ms'],
      ['a/b', '+1 ms'],
      ['a/c', 'now'],
    ])
    expect(movedTo(along, draft(250)).size).toBe(0)
  })

  it('keep all that does not depend on it', () => {
    const chip = { gesture: 'tap', name: 'Next page', off: false, wait: 'now' }
    const off = { gesture: 'tap', name: 'Louder', off: true, wait: null }
    const lane = {
      button: { ref: 'a/a' },
      chips: [chip, off],
      empties: [{ gesture: 'double_tap', gesture_name: 'double-tap', costs: [] }],
      regions: [],
      cautions: ['x'],
    } as unknown as Lane
    expect(moved(lane, state('+5 ms'))).toEqual({
      ...lane,
      ...{ regions: state('').regions, boundaries: [], limits: [], tap_choice: null },
      chips: [{ ...chip, wait: '+5 ms' }, off],
      empties: [{ gesture: 'double_tap', gesture_name: 'double-tap', costs: ['tap +5 ms'] }],
    })
  })
})
