import { describe, expect, it } from 'vitest'
import { hearFound, type FoundSource } from './found'
import type { Heard } from '../../shared/hearing'

const heard = (source: string, edge: Heard['edge'], level?: number): Heard =>
  level === undefined ? { source, edge, timeMs: 0 } : { source, edge, level, timeMs: 0 }

const hearAll = (...all: Heard[]) => all.reduce<FoundSource[]>(hearFound, [])

describe('hearFound', () => {
  it('counts presses and says what is down, the latest first', () => {
    const found = hearAll(
      heard('key:F6', 'down'),
      heard('key:F6', 'up'),
      heard('pointer:3', 'down'),
      heard('key:F6', 'down'),
    )
    expect(found.map(({ source, presses, down }) => [source, presses, down])).toEqual([
      ['key:F6', 2, true],
      ['pointer:3', 1, true],
    ])
  })

  it('follows a level, and counts it once each time it leaves zero', () => {
    const level = 'gamepad:0:level:6'
    const rising = hearAll(heard(level, 'level', 0.2), heard(level, 'level', 0.7))
    expect(rising[0]).toMatchObject({ kind: 'force', down: true, level: 0.7, presses: 1 })
    expect(hearFound(rising, heard(level, 'level', 0))[0]).toMatchObject({
      down: false,
      level: 0,
      presses: 1,
    })
  })

  it('counts each step of a wheel, which is never down', () => {
    const found = hearAll(heard('wheel:up', 'notch'), heard('wheel:up', 'notch'))
    expect(found).toEqual([{ source: 'wheel:up', kind: 'notch', down: false, presses: 2, level: undefined }])
  })
})
