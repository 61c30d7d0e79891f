import { renderHook } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { BenchMode } from './benchContext'
import { useListeningEnds } from './useListeningEnds'

const escape = () =>
  document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
const listening = (mode: BenchMode['kind']) => {
  const stop = vi.fn()
  const { result } = renderHook(() => useListeningEnds(mode, stop))
  return { stop, comesBetween: result.current }
}

afterEach(() => vi.restoreAllMocks())

describe('listening', () => {
  it('ends where the page is hidden or loses the focus, and only while it goes on', () => {
    const { stop } = listening('on')
    document.dispatchEvent(new Event('visibilitychange'))
    expect(stop).not.toHaveBeenCalled()
    vi.spyOn(document, 'hidden', 'get').mockReturnValue(true)
    document.dispatchEvent(new Event('visibilitychange'))
    expect(stop).toHaveBeenCalledTimes(1)
    window.dispatchEvent(new Event('blur'))
    expect(stop).toHaveBeenCalledTimes(2)
    const off = listening('off')
    window.dispatchEvent(new Event('blur'))
    document.dispatchEvent(new Event('visibilitychange'))
    expect(off.stop).not.toHaveBeenCalled()
  })

  it('ends by Esc twice with nothing in between', () => {
    const { stop, comesBetween } = listening('on')
    escape()
    comesBetween()
    escape()
    expect(stop).not.toHaveBeenCalled()
    escape()
    expect(stop).toHaveBeenCalledTimes(1)
  })
})
