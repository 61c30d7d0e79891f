import { describe, expect, it } from 'vitest'
import { less } from './less'

const step = (seconds: number, wrong: number, missing: string[] = []) => ({
  changes: 0,
  cost_s: 0,
  saves_s: 0,
  seconds,
  wrong,
  missing,
  put: [],
  gives_way: [],
})

describe('how a day differs', () => {
  it.each([
    [
      step(600, 12, ['a', 'b']),
      step(480, 8, ['a']),
      'one want more done, 2.0 min a day less, 4.0 wrong presses less',
    ],
    [step(60, 1, ['a']), step(300, 3, []), 'one want more done, 4.0 min a day more, 2.0 wrong presses more'],
    [step(60, 1), step(61, 1.01), 'as it is now'],
  ])('%#', (now, then, words) => {
    expect(less(now, then)).toBe(words)
  })
})
