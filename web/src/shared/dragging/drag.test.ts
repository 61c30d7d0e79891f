import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { startDrag } from './drag'

const NAMES: Record<string, string> = { 'a tap': 'Next page', 'b tap': 'Louder' }
let root: HTMLElement
let overlay: HTMLElement
let stop: () => void
const drop = vi.fn()

/** At each x stands a place: a from 0, b from 100, an empty one from 200. */
const under = (x: number) => root.children[Math.floor(x / 100)] ?? document.body

beforeEach(() => {
  vi.useFakeTimers()
  drop.mockClear()
  root = document.createElement('div')
  overlay = document.createElement('span')
  overlay.hidden = true
  for (const spot of ['a tap', 'b tap', 'c tap']) {
    const button = document.createElement('button')
    button.dataset['spot'] = spot
    root.append(button)
  }
  document.body.append(root, overlay)
  document.elementFromPoint = (x: number) => under(x)
  stop = startDrag(root, overlay, { take: (spot) => NAMES[spot], drop })
})

afterEach(() => {
  stop()
  // What swallows the click of a drag goes with its moment: it would swallow another test's.
  vi.runAllTimers()
  root.remove()
  overlay.remove()
  vi.useRealTimers()
})

const point = (type: string, x: number, more: Record<string, unknown> = {}) =>
  (type === 'pointerdown' ? under(x) : window).dispatchEvent(
    Object.assign(
      new MouseEvent(type, { bubbles: true, cancelable: true, clientX: x, clientY: 0, button: 0, ...more }),
      { pointerType: (more['pointerType'] as string | undefined) ?? 'mouse' },
    ),
  )

describe('dragging', () => {
  it('takes what stands at one place to another, with Ctrl a copy', () => {
    point('pointerdown', 10)
    point('pointermove', 110)
    expect([overlay.hidden, overlay.textContent]).toEqual([false, 'Next page'])
    point('pointermove', 210)
    expect(
      [...root.querySelectorAll('[data-over]')].map((one) => (one as HTMLElement).dataset['spot']),
    ).toEqual(['c tap'])
    point('pointerup', 210)
    expect(drop.mock.calls).toEqual([['a tap', 'c tap', false]])
    expect([overlay.hidden, root.querySelector('[data-over]')]).toEqual([true, null])
    point('pointerdown', 10, { ctrlKey: true })
    point('pointermove', 110)
    point('pointerup', 110)
    expect(drop.mock.calls.at(-1)).toEqual(['a tap', 'b tap', true])
  })

  it('is a press for who hardly moves, drags nothing where nothing stands, and nothing onto itself', () => {
    point('pointerdown', 10)
    point('pointermove', 14)
    point('pointerup', 14)
    point('pointerdown', 210)
    point('pointermove', 110)
    expect(overlay.hidden).toBe(true)
    point('pointerup', 110)
    point('pointerdown', 10)
    point('pointermove', 60)
    point('pointerup', 60)
    expect(drop).not.toHaveBeenCalled()
  })

  it('swallows the click that ends it, and no other', () => {
    const clicked = vi.fn()
    root.addEventListener('click', clicked)
    point('pointerdown', 10)
    point('pointermove', 110)
    point('pointerup', 110)
    under(110).dispatchEvent(new MouseEvent('click', { bubbles: true }))
    expect(clicked).not.toHaveBeenCalled()
    vi.runAllTimers()
    under(110).dispatchEvent(new MouseEvent('click', { bubbles: true }))
    expect(clicked).toHaveBeenCalledTimes(1)
  })

  it('is left by Esc', () => {
    point('pointerdown', 10)
    point('pointermove', 110)
    const escape = new KeyboardEvent('keydown', { key: 'Escape', cancelable: true })
    window.dispatchEvent(escape)
    expect([overlay.hidden, escape.defaultPrevented]).toEqual([true, true])
    point('pointerup', 110)
    expect(drop).not.toHaveBeenCalled()
  })

  it('waits for a finger to rest; one that moves before scrolls', () => {
    const touch = { pointerType: 'touch' }
    point('pointerdown', 10, touch)
    point('pointermove', 110, touch)
    vi.advanceTimersByTime(500)
    expect(overlay.hidden).toBe(true)
    point('pointerdown', 10, touch)
    vi.advanceTimersByTime(250)
    expect(overlay.hidden).toBe(false)
    const scroll = new Event('touchmove', { bubbles: true, cancelable: true })
    under(10).dispatchEvent(scroll)
    expect(scroll.defaultPrevented).toBe(true)
    point('pointermove', 110, touch)
    point('pointerup', 110, touch)
    expect(drop.mock.calls).toEqual([['a tap', 'b tap', false]])
  })
})
