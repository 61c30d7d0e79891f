import { act, fireEvent, render, screen } from '@testing-library/react'
import { useState } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { BoundaryHandle, type BoundaryDraft } from './BoundaryHandle'
import { scalesFor } from './scale'

const boundary = {
  setting: 'long_press_ms',
  stretch: 'held' as const,
  value_ms: 500,
  from_ms: 100,
  to_ms: 5000,
}

function Held({ onCommit }: { onCommit: (draft: BoundaryDraft) => void }) {
  const [draft, setDraft] = useState<BoundaryDraft>()
  return (
    <BoundaryHandle
      boundary={boundary}
      buttonName="Edge key"
      scale={scalesFor([]).held}
      draft={draft}
      onDraft={setDraft}
      onCommit={onCommit}
    />
  )
}

function show() {
  const committed: number[] = []
  render(<Held onCommit={(draft) => committed.push(draft.valueMs)} />)
  const slider = screen.getByRole('slider', { name: 'Long-press time of Edge key' })
  return {
    committed,
    slider,
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

  it('moves by arrow keys and commits once they rest', () => {
    const { committed, slider, press } = show()
    press('ArrowRight', 'ArrowRight', 'ArrowLeft', 'PageUp')
    expect(slider.getAttribute('aria-valuetext')).toBe('610 ms')
    expect(committed).toEqual([])
    act(() => {
      vi.advanceTimersByTime(700)
    })
    expect(committed).toEqual([610])
  })

  it('takes typed figures, kept within the range', () => {
    const { committed, press } = show()
    press('9', '0', '5', 'Backspace', '0', 'Enter')
    press('7', 'Enter')
    press('Home', 'End')
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

  it('leaves other keys and combinations alone', () => {
    const { slider } = show()
    expect(fireEvent.keyDown(slider, { key: 'Tab' })).toBe(true)
    expect(fireEvent.keyDown(slider, { key: 'ArrowRight', ctrlKey: true })).toBe(true)
    expect(slider.getAttribute('aria-valuetext')).toBe('500 ms')
  })
})

describe('scalesFor', () => {
  const lane = (long: number, gap: number) => ({
    button: { ref: 'a/b', name: 'B', print: '', kind: 'contact' as const, off: false },
    regions: [],
    chips: [],
    empties: [],
    limits: [],
    cautions: [],
    tap_choice: null,
    own: [],
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
