import { describe, expect, it } from 'vitest'
import { openWords, seenWords } from './words'

describe('openWords', () => {
  it.each([
    [{ wants: 0, steps: 0, devices: 0 }, 'nothing open'],
    [{ wants: 1, steps: 0, devices: 0 }, '1 want open'],
    [{ wants: 2, steps: 5, devices: 1 }, '2 wants open · 1 device not ready'],
    [{}, 'nothing open'],
  ])('%j is “%s”', (open, words) => {
    expect(openWords(open)).toBe(words)
  })
})

describe('seenWords', () => {
  it('tells the time of today and the day of any other', () => {
    const now = new Date('2026-11-25T12:00:00')
    expect(seenWords('2026-11-25T09:05:00', now)).toMatch(/^last seen today, .*9:05/)
    expect(seenWords('2026-11-18T09:05:00', now)).toMatch(/^last seen .*18.*2026|^last seen .*2026/)
  })
})
