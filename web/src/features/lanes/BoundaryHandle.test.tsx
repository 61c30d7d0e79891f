import { act, fireEvent, render, screen } from '@testing-library/react'
import { useState } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { BoundaryHandle, type BoundaryDraft } from './BoundaryHandle'
import { scalesFor } from './scale'

const boundary = {
  setting: 'long_press_ms',
  stretch: 'held' as const,
  value_ms: 500,
  own: true,
  from_ms: 100,
  step_ms: 10,
  to_ms: 5000,
}

const VALUES = Array.from({ length: 141 }, (_, index) => 100 + 10 * index)
/** What was asked for when it was taken hold of. */
const held: [string, number][] = []

function Held({ values, onCommit }: { values?: number[]; onCommit: (draft: BoundaryDraft) => void }) {
  const [draft, setDraft] = useState<BoundaryDraft>()
  return (
    <BoundaryHandle
      boundary={boundary}
      of="Edge key"
      scale={scalesFor([]).held}
      values={values}
      onHold={(...one) => held.push(one)}
      draft={draft}
      onDraft={setDraft}
      onCommit={onCommit}
    />
  )
}

function show(values: number[] | null = VALUES) {
  const committed: number[] = []
  held.length = 0
  const drawn = (known: number[] | null) => (
    <Held {...(known ? { values: known } : {})} onCommit={(draft) => committed.push(draft.valueMs)} />
  )
  const { rerender } = render(drawn(values))
  const slider = screen.getByRole('slider', { name: 'Long-press time of Edge key' })
  return {
    committed,
    slider,
    learn: (known: number[]) => rerender(drawn(known)),
    press: (...keys: string[]) => keys.forEach((key) => fireEvent.keyDown(slider, { key })),
  }
}

describe('BoundaryHandle', () => {
  beforeEach(() => {
    vi.useFakeTimers()
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('moves by keys, however slow they come, and commits what is confirmed', () => {
    const { committed, slider, press } = show()
    for (const key of ['ArrowRight', 'ArrowRight', 'ArrowLeft', 'PageUp']) {
      press(key)
      act(() => {
        vi.advanceTimersByTime(5000)
      })
    }
    expect(slider.getAttribute('aria-valuetext')).toBe('610 ms, Enter sets it')
    expect(committed).toEqual([])
    press('Enter')
    expect(committed).toEqual([610])
  })

  it('commits what keys moved when it is left, and nothing where they led back', () => {
    const { committed, slider, press } = show()
    press('ArrowRight', 'ArrowLeft', 'Enter')
    fireEvent.blur(slider)
    expect(committed).toEqual([])
    press('PageDown')
    fireEvent.blur(slider)
    expect(committed).toEqual([400])
  })

  it('sets no end by one press alone', () => {
    const { committed, slider, press } = show()
    press('End')
    expect([slider.getAttribute('aria-valuetext'), committed]).toEqual(['5000 ms, Enter sets it', []])
    press('Escape')
    fireEvent.blur(slider)
    expect([slider.getAttribute('aria-valuetext'), committed]).toEqual(['500 ms', []])
  })

  it('takes typed figures, kept within the range', () => {
    const { committed, press } = show()
    press('9', '0', '5', 'Backspace', '0', 'Enter')
    press('7', 'Enter')
    press('Home', 'Enter', 'End', 'Enter')
    expect(committed).toEqual([900, 100, 100, 5000])
  })

  it('gives up by Escape', () => {
    const { committed, slider, press } = show()
    press('ArrowRight', 'Escape')
    press('8', '8', 'Escape', 'Enter')
    act(() => {
      vi.advanceTimersByTime(2000)
    })
    expect(slider.getAttribute('aria-valuetext')).toBe('500 ms')
    expect(committed).toEqual([])
  })

  it('commits what was begun when the focus leaves', () => {
    const { committed, slider, press } = show()
    press('6', '0', '0')
    fireEvent.blur(slider)
    expect(committed).toEqual([600])
  })

  /** 1500 ms on 300 px: 5 ms a pixel. */
  function drag(xs: number[], values: number[] | null = VALUES) {
    const { committed, slider } = show(values)
    slider.setPointerCapture = () => undefined
    vi.spyOn(slider.parentElement as HTMLElement, 'getBoundingClientRect').mockReturnValue({
      width: 300,
    } as DOMRect)
    const [from = 0, ...others] = xs
    fireEvent.pointerDown(slider, { button: 0, clientX: from })
    others.forEach((clientX) => fireEvent.pointerMove(slider, { clientX }))
    return { committed, slider }
  }

  it('does not jump where its tag is taken at the edge, and a tremor moves nothing', () => {
    const { committed, slider } = drag([120, 124, 116, 120])
    expect(slider.getAttribute('aria-valuetext')).toBe('500 ms')
    fireEvent.pointerUp(slider)
    expect(committed).toEqual([])
  })

  it('is dragged by what is beyond the tremor', () => {
    const { committed, slider } = drag([120, 146])
    expect(slider.getAttribute('aria-valuetext')).toBe('600 ms')
    fireEvent.pointerUp(slider)
    expect(committed).toEqual([600])
  })

  it('goes to the nearest where it is let go before it is known what can be set', () => {
    const { committed, slider } = drag([120, 146], null)
    fireEvent.pointerUp(slider)
    expect(committed).toEqual([600])
  })

  it('grows to the left where one reads from the right', () => {
    document.body.style.direction = 'rtl'
    const { committed, slider } = drag([146, 120])
    fireEvent.pointerUp(slider)
    fireEvent.keyDown(slider, { key: 'ArrowRight' })
    expect(slider.getAttribute('aria-valuetext')).toBe('590 ms, Enter sets it')
    expect(committed).toEqual([600])
    document.body.style.direction = ''
  })

  it('gives up a drag by Escape', () => {
    const { committed, slider } = drag([120, 180])
    fireEvent.keyDown(slider, { key: 'Escape' })
    fireEvent.pointerMove(slider, { clientX: 200 })
    fireEvent.pointerUp(slider)
    expect(slider.getAttribute('aria-valuetext')).toBe('500 ms')
    expect(committed).toEqual([])
  })

  it('waits for what can be set before it moves', () => {
    const { committed, slider, press, learn } = show(null)
    press('ArrowRight', 'ArrowRight')
    expect([slider.getAttribute('aria-valuetext'), held[0]]).toEqual(['500 ms', ['long_press_ms', 1500]])
    learn([400, 500, 700, 1000])
    expect(slider.getAttribute('aria-valuetext')).toBe('1000 ms, Enter sets it')
    press('Enter')
    expect(committed).toEqual([1000])
  })

  it('asks for more at the end of what is known', () => {
    const { press } = show([400, 500, 700])
    press('PageUp')
    expect(held).toEqual([
      ['long_press_ms', 1500],
      ['long_press_ms', 1400],
    ])
  })

  it('leaves other keys and combinations alone', () => {
    const { slider } = show()
    expect(fireEvent.keyDown(slider, { key: 'Tab' })).toBe(true)
    expect(fireEvent.keyDown(slider, { key: 'ArrowRight', ctrlKey: true })).toBe(true)
    expect(slider.getAttribute('aria-valuetext')).toBe('500 ms')
  })
})

describe('scalesFor', () => {
  const lane = (long: number, gap: number) => ({
    button: { ref: 'a/b', name: 'B', full_name: 'A, B', print: '', kind: 'contact' as const, off: false },
    regions: [],
    chips: [],
    empties: [],
    limits: [],
    cautions: [],
    tap_choice: null,
    own: [],
    timed: true,
    boundaries: [
      { ...boundary, value_ms: long },
      { ...boundary, setting: 'tap_gap_ms', stretch: 'apart' as const, value_ms: gap },
    ],
  })

  it('has room behind the widest boundary of all lanes', () => {
    const scales = scalesFor([lane(500, 300), lane(2000, 700)])
    expect([scales.held.maxMs, scales.apart.maxMs]).toEqual([3000, 1200])
    expect([scalesFor([]).held.maxMs, scalesFor([]).apart.maxMs]).toEqual([1500, 600])
  })

  it('goes both ways and keeps to the picture', () => {
    const { held } = scalesFor([])
    expect([held.percent(750), held.percent(9999), held.ms(0.5)]).toEqual([50, 100, 750])
  })
})
