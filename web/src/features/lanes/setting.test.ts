import { describe, expect, it } from 'vitest'
import type { Boundary } from '../../shared/api'
import { settable, stepped } from './setting'

const boundary = (more: Partial<Boundary>): Boundary => ({
  setting: 'long_press_ms',
  stretch: 'held',
  own: false,
  value_ms: 500,
  from_ms: 100,
  to_ms: 5000,
  step_ms: 10,
  values_ms: null,
  ...more,
})

describe('what can be set', () => {
  it.each([
    [{}, 504, 500],
    [{}, 20, 100],
    [{}, 9000, 5000],
    [{ step_ms: 0.1, from_ms: 0 }, 0.34, 0.3],
    [{ step_ms: 50 }, 524, 500],
    [{ values_ms: [200, 300, 400], from_ms: 200, to_ms: 400 }, 360, 400],
  ])('%j brings %d to %d', (more, ms, nearest) => {
    expect(settable(boundary(more), ms)).toBe(nearest)
  })

  it.each([
    [{}, 500, 1, 510],
    [{}, 105, -1, 100],
    [{ values_ms: [200, 300, 400], from_ms: 200, to_ms: 400 }, 300, 1, 400],
    [{ values_ms: [200, 300, 400], from_ms: 200, to_ms: 400 }, 300, -10, 200],
  ])('%j goes from %d by %d steps to %d', (more, ms, steps, to) => {
    expect(stepped(boundary(more), ms, steps)).toBe(to)
  })
})
