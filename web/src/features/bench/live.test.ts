import { describe, expect, it } from 'vitest'
import { pressed, released, settled } from './live'
import { isPrimary, sourceName } from '../../shared/hearing'

describe('live', () => {
  it('follows a press until nothing more is waited for', () => {
    const down = pressed({}, 'phone/edge', 100)
    const up = released(down, 'phone/edge', 300)
    expect(up['phone/edge']).toEqual({ down: false, downAtMs: 100, upAtMs: 300 })
    const waits = [{ button: 'phone/edge', for: 'tap_gap' as const, due_us: 600_000 }]
    expect(settled(up, waits, 400)).toBe(up)
    expect(settled(up, [], 600)['phone/edge']).toEqual({
      down: false,
      downAtMs: 100,
      upAtMs: 300,
      overAtMs: 600,
    })
    expect(settled(down, [], 600)).toBe(down)
    expect(released({}, 'phone/edge', 1)).toEqual({})
  })
})

describe('sources', () => {
  it.each([
    ['key:F6', 'key F6'],
    ['key:KeyA', 'key A'],
    ['key:Digit1', 'key 1'],
    ['key:Keypad', 'key Keypad'],
    ['pointer:3', 'mouse back'],
    ['pointer:9', 'mouse button 9'],
    ['pen:2', 'pen lower side button'],
    ['touch:0', 'touch'],
    ['gamepad:1:button:12', 'gamepad 2, button 12'],
  ])('%s is %s', (source, name) => {
    expect(sourceName(source)).toBe(name)
  })

  it('knows what also works the page', () => {
    expect(['pointer:0', 'pen:0', 'touch:0', 'pointer:1', 'key:F6'].map(isPrimary)).toEqual([
      true,
      true,
      true,
      false,
      false,
    ])
  })
})
