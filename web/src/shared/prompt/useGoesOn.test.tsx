import { renderHook } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useGoesOn, type Asked, type Pace } from './useGoesOn'

const asked = (more: Partial<Asked> = {}): Asked => ({
  number: 3,
  wants: 1,
  presses: 0,
  down: false,
  paused: false,
  rows: 0,
  ...more,
})

describe('useGoesOn', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  const told = (first: Asked | undefined, pace: Pace | 'now' = 'soon') => {
    const done = vi.fn()
    const hook = renderHook(({ now }) => useGoesOn(now, pace, done), { initialProps: { now: first } })
    return { done, becomes: (now: Asked | undefined) => hook.rerender({ now }) }
  }

  it('waits for a press for ever, and then until nothing more comes', () => {
    const { done, becomes } = told(asked())
    vi.advanceTimersByTime(60_000)
    becomes(asked({ down: true, rows: 1 }))
    vi.advanceTimersByTime(60_000)
    expect(done).not.toHaveBeenCalled()
    becomes(asked({ presses: 1, rows: 2 }))
    vi.advanceTimersByTime(1_500)
    becomes(asked({ presses: 2, rows: 4 }))
    vi.advanceTimersByTime(1_500)
    expect(done).not.toHaveBeenCalled()
    vi.advanceTimersByTime(100)
    expect(done.mock.calls).toEqual([[3, 4]])
  })

  it('gives a second press longer, and a rest its time', () => {
    const twice = told(asked({ wants: 2, presses: 1, rows: 2 }))
    vi.advanceTimersByTime(3_500)
    expect(twice.done).not.toHaveBeenCalled()
    vi.advanceTimersByTime(50)
    expect(twice.done).toHaveBeenCalledOnce()
    const rest = told(asked({ wants: 0 }))
    vi.advanceTimersByTime(5_999)
    expect(rest.done).not.toHaveBeenCalled()
    vi.advanceTimersByTime(1)
    expect(rest.done).toHaveBeenCalledOnce()
  })

  it('goes on at once where somebody says so, with what was still on its way', () => {
    const { done, becomes } = told(asked({ presses: 2, rows: 3, down: true }), 'now')
    vi.advanceTimersByTime(10_000)
    expect(done).not.toHaveBeenCalled()
    becomes(asked({ presses: 2, rows: 4 }))
    vi.advanceTimersByTime(0)
    expect(done.mock.calls).toEqual([[3, 4]])
  })

  it('tries again what failed', () => {
    const done = vi.fn()
    const now = asked({ presses: 1, rows: 2 })
    const hook = renderHook(({ tried }) => useGoesOn(now, 'soon', done, tried), {
      initialProps: { tried: 0 },
    })
    vi.advanceTimersByTime(10_000)
    expect(done).toHaveBeenCalledOnce()
    hook.rerender({ tried: 1 })
    vi.advanceTimersByTime(1_600)
    expect(done).toHaveBeenCalledTimes(2)
  })

  it('rests while it rests, and never goes on where somebody else says so', () => {
    const paused = told(asked({ presses: 1, rows: 2, paused: true }))
    const by = told(asked({ presses: 1, rows: 2 }), 'never')
    vi.advanceTimersByTime(60_000)
    expect(paused.done).not.toHaveBeenCalled()
    expect(by.done).not.toHaveBeenCalled()
  })
})
