import { act, renderHook, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Announcer, useAnnounce } from './Announcer'

let say: ReturnType<typeof useAnnounce>
const region = () => screen.getByRole('status')
const tell = (...said: Parameters<typeof say>) => act(() => say(...said))
/** All that is said from now on, in its order. */
function heard(ms: number): string[] {
  const all: string[] = []
  let last: Element | null = null
  for (let at = 0; at < ms; at += 50) {
    if (region().firstElementChild !== last) {
      last = region().firstElementChild
      if (last) all.push(last.textContent)
    }
    act(() => vi.advanceTimersByTime(50))
  }
  return all
}

describe('Announcer', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    say = renderHook(useAnnounce, { wrapper: Announcer }).result.current
  })
  afterEach(() => vi.useRealTimers())

  it('says one thing after the other, and nothing is left standing', () => {
    tell('Edge key: long-press, Answer the call.')
    tell('Saved as revision 4.')
    expect(heard(8000)).toEqual(['Edge key: long-press, Answer the call.', 'Saved as revision 4.'])
    expect(region().textContent).toBe('')
  })

  it('of twenty presses in six seconds says whole ones, the newest last, and never more than one at once', () => {
    const all: string[] = []
    let longest = 0
    let last: Element | null = null
    const look = () => {
      longest = Math.max(longest, region().textContent.length)
      if (region().firstElementChild === last) return
      last = region().firstElementChild
      if (last) all.push(last.textContent)
    }
    for (let press = 1; press <= 20; press += 1) {
      tell(`Switch: tap → Next page, press ${String(press)}`, 'press')
      if (press === 7) tell('Saved as revision 4.')
      look()
      act(() => vi.advanceTimersByTime(300))
      look()
    }
    for (const words of heard(10_000)) if (words !== all.at(-1)) all.push(words)
    expect(all[0]).toBe('Switch: tap → Next page, press 1')
    expect(all.at(-1)).toBe('Switch: tap → Next page, press 20')
    expect(all).toContain('Saved as revision 4.')
    expect(all.length).toBeLessThan(8)
    expect(longest).toBeLessThan(50)
  })

  it('says the same again', () => {
    tell('Press twice')
    const first = region().firstElementChild
    tell('Press twice')
    act(() => vi.advanceTimersByTime(1500))
    expect(region().textContent).toBe('Press twice')
    expect(region().firstElementChild).not.toBe(first)
  })
})
