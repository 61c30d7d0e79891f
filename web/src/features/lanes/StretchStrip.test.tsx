import { render, screen, within } from '@testing-library/react'
import { expect, it } from 'vitest'
import type { Lane } from '../../shared/api'
import { AccountContext, type SignedIn } from '../../shared/session'
import { StretchStrip } from './StretchStrip'
import { stretchScale } from './scale'

const chip = (gesture: string, stretch: string) => ({
  gesture,
  gesture_name: gesture,
  stretch,
  name: gesture,
  wait: 'now',
  origin: 'here',
  from: null,
  off: false,
  kept: false,
})
const region = (stretch: string, kind: string, from: number, to: number | null) => ({
  stretch,
  kind,
  from_us: from * 1000,
  to_us: to === null ? null : to * 1000,
})
const LANE = {
  button: { ref: 'a/a', name: 'A', full_name: 'A', kind: 'contact' },
  limits: [],
  boundaries: [],
  chips: [chip('double_tap', 'apart'), chip('long_press', 'held'), chip('tap', 'held')],
  empties: [{ gesture: 'triple_tap', gesture_name: 'triple-tap', stretch: 'apart', costs: [] }],
  regions: [
    region('held', 'counts', 0, 500),
    region('held', 'long', 500, null),
    region('apart', 'joins', 60, 300),
    region('apart', 'new', 300, null),
  ],
} as unknown as Lane

const nothing = () => undefined
const strip = (stretch: 'held' | 'apart') => (
  <div data-testid={stretch}>
    <StretchStrip
      stretch={stretch}
      lane={LANE}
      name="A"
      boundaries={[]}
      scale={stretchScale(1000)}
      width={1000}
      chosen={undefined}
      live={{ down: false }}
      valuesOf={nothing}
      onHold={nothing}
      draft={undefined}
      onDraft={nothing}
      onCommit={nothing}
      onChoose={nothing}
    />
  </div>
)

it('shows each gesture in the stretch that brings it about, from where that begins', () => {
  render(
    <AccountContext.Provider value={{ role: 'specialist' } as SignedIn}>
      {strip('held')}
      {strip('apart')}
    </AccountContext.Provider>,
  )
  const shown = (stretch: string) =>
    within(screen.getByTestId(stretch))
      .getAllByRole('button')
      .map((one) => [one.dataset['spot'], Math.round(parseFloat(one.style.marginInlineStart))])
  expect(shown('held')).toEqual([
    ['a/a tap', 4],
    ['a/a long_press', 504],
  ])
  expect(shown('apart').map(([spot]) => spot)).toEqual(['a/a double_tap', 'a/a triple_tap'])
  expect(shown('apart')[0]?.[1]).toBe(64)
})
