import { describe, expect, it } from 'vitest'
import { nearest, stepped } from './setting'

const SOME = [200, 300, 400, 600]

describe('what can be set', () => {
  it.each([
    [304, 300],
    [20, 200],
    [9000, 600],
    [500, 400],
  ])('%d is brought to %d', (ms, to) => {
    expect(nearest(SOME, ms)).toBe(to)
  })

  it.each([
    [300, 1, 400],
    [300, -1, 200],
    [300, 10, 600],
    [300, -10, 200],
    [350, 1, 400],
    [350, -1, 300],
    [9000, -1, 600],
    [100, 1, 200],
  ])('from %d by %d to %d', (ms, steps, to) => {
    expect(stepped(SOME, ms, steps)).toBe(to)
  })

  it('moves nothing where nothing can be set', () => {
    expect([nearest([], 300), stepped([], 300, 1)]).toEqual([300, 300])
  })
})
