import { describe, expect, it } from 'vitest'
import {
  alongTo,
  HERE,
  moved,
  readAddress,
  writeAddress,
  type DeskAddress,
  type SheetAddress,
} from './address'

const SHEETS: SheetAddress[] = [
  { of: 'gesture', button: 'mouse/left', gesture: 'long_press', also: [] },
  { of: 'gesture', button: 'mouse/left', gesture: 'tap', also: ['mouse/right', 'remote/ok'] },
  { of: 'rename', button: 'mouse/left' },
  { of: 'arrange' },
  { of: 'history' },
  { of: 'new-device' },
  { of: 'new-host' },
  { of: 'device', id: 'mouse' },
  { of: 'reset', id: 'mouse' },
  { of: 'host', id: 'tv' },
  { of: 'want', id: 'read-a-page' },
  { of: 'settings', about: 'host', id: 'tv' },
]
const FAR: DeskAddress = {
  place: 'letters',
  mode: 'reading',
  only: ['mouse', 'remote'],
  without: ['remote'],
  view: 'table',
  devices: 'find',
  compared: { from: 3, to: 12 },
  hand: { of: 'want', id: 'call' },
  sheet: undefined,
  tuned: {
    button: 'mouse/left',
    presses: ['a1', 'b2'],
    price: 0.5,
    fixed: { long_press_ms: 900 },
    alone: true,
    moved: { fit: '0e0e0e0e-0000-4000-8000-000000000000', timing: { tap_gap_ms: 350, press_at: 0.4 } },
    value: 'tap_gap_ms',
    trial: 12,
    scope: 'device',
  },
}

describe('the desk’s address', () => {
  it('is empty where all is as usual', () => {
    expect(writeAddress(HERE)).toBe('')
    expect(readAddress('')).toEqual(HERE)
  })

  it.each([undefined, ...SHEETS])('comes back as it was written: %o', (sheet) => {
    const there = { ...FAR, sheet }
    expect(readAddress(writeAddress(there))).toEqual(there)
  })

  it.each([
    'sheet=gesture:mouse/left:sneeze',
    'sheet=gesture',
    'sheet=settings:moon:x',
    'sheet=want',
    'sheet=arrange:x',
    'sheet=%00',
    'compared=3',
    'compared=a-b',
    'view=globe',
    'only=,,',
    'devices=5',
    'price=dear',
    'fixed=long_press_ms:soon',
    'moved=long_press_ms:900',
    'press=-1',
    'alone=no',
  ])('passes over what it does not know: %s', (search) => {
    expect(readAddress(`?${search}`)).toEqual(HERE)
  })

  it('closes a sheet only where it is still that one', () => {
    const [one, other] = [SHEETS[0], SHEETS[1]] as [SheetAddress, SheetAddress]
    const open = moved(HERE, { do: 'open', sheet: one })
    expect(moved(open, { do: 'close', sheet: other })).toEqual(open)
    expect(moved(open, { do: 'close', sheet: { ...one } })).toEqual(HERE)
    expect(moved(open, { do: 'close' })).toEqual(HERE)
  })

  it('drops only what is still in hand, and leaves what was opened meanwhile', () => {
    const open = moved(moved(HERE, { do: 'hand', hand: { of: 'want', id: 'call' } }), {
      do: 'open',
      sheet: { of: 'arrange' },
    })
    expect(moved(open, { do: 'drop', hand: { of: 'want', id: 'read' } })).toEqual(open)
    expect(moved(open, { do: 'drop', hand: { of: 'want', id: 'call' } })).toEqual({
      ...HERE,
      sheet: { of: 'arrange' },
    })
  })

  it.each([
    [
      { do: 'spot', place: 'letters', mode: 'reading' },
      { place: 'letters', mode: 'reading' },
    ],
    [{ do: 'view', view: 'table' }, { view: 'table' }],
    [{ do: 'devices', devices: 'find' }, { devices: 'find' }],
    [{ do: 'only', only: ['a'] }, { only: ['a'] }],
    [{ do: 'compare', compared: { from: 1, to: 2 } }, { compared: { from: 1, to: 2 } }],
    [{ do: 'hand', hand: { of: 'action', id: 'volume-up' } }, { hand: { of: 'action', id: 'volume-up' } }],
  ] as const)('moves: %o', (move, change) => {
    expect(moved(HERE, move as Parameters<typeof moved>[1])).toEqual({ ...HERE, ...change })
  })

  it('takes place, mode and view along to another step, and a sheet that belongs to none', () => {
    const ofNoStep = ({ of }: SheetAddress) => of === 'history'
    expect(readAddress(alongTo({ ...FAR, sheet: { of: 'want', id: 'w' } }, ofNoStep))).toEqual({
      ...FAR,
      hand: undefined,
    })
    expect(readAddress(alongTo({ ...FAR, sheet: { of: 'history' } }, ofNoStep)).sheet).toEqual({
      of: 'history',
    })
  })

  it('forgets what was moved where another fit is wanted, and all of it with another button', () => {
    const timing = { long_press_ms: 900 }
    const at = moved(FAR, { do: 'tuned', tuned: { moved: { fit: 'f', timing }, trial: 3 } })
    expect(at.tuned).toMatchObject({ price: 0.5, moved: { fit: 'f', timing }, trial: 3 })
    expect(moved(at, { do: 'tuned', tuned: { price: 2 } }).tuned).toMatchObject({
      presses: ['a1', 'b2'],
      price: 2,
      moved: undefined,
      trial: undefined,
    })
    expect(moved(at, { do: 'tune', button: 'mouse/right' }).tuned).toEqual({
      ...HERE.tuned,
      button: 'mouse/right',
    })
  })
})
