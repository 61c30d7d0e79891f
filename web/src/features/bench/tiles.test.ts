import { describe, expect, it } from 'vitest'
import type { Tile } from '../../shared/api'
import { emptyView } from '../../shared/hearing/testing'
import { NO_TILES, shownTiles, takeHistory, takeView, tileWords } from './tiles'

const result = (gesture: string, action: string | null, phase: 'fire' | 'end' | 'ignored' = 'fire') => ({
  at_us: 0,
  phase,
  gesture,
  gesture_name: gesture,
  action_name: action,
  effect: null,
  does: null,
  reason: phase === 'ignored' ? 'brush' : null,
  wait_us: 0,
  wait: 'now',
})

const tile = (key: string, ...results: ReturnType<typeof result>[]): Tile => ({
  key,
  button: 'phone/edge',
  button_name: 'Edge key',
  began_us: 0,
  over: true,
  long_us: null,
  touches: [],
  results,
  repeats: 0,
  sentences: [],
})

const view = (stream: string, received: number, revision: number, ...tiles: Tile[]) =>
  emptyView(stream, received, { revision, tiles })

const summary = (state: typeof NO_TILES) =>
  shownTiles(state, 'l1').map(({ tile: one, was }) => [tileWords(one), was])

describe('tiles', () => {
  it('says which heard it where it was not this browser, whatever that is called', () => {
    const state = takeView(NO_TILES, { ...view('s', 1, 1, tile('a')), listener: 'browser' })
    const heardBy = (own: string) => shownTiles(state, own).map((one) => one.elsewhere)
    expect([heardBy('l1'), heardBy('l2')]).toEqual([[undefined], ['another browser']])
  })

  it('says what a tile came to', () => {
    expect(tileWords(tile('a', result('tap', 'Wake')))).toBe('tap → Wake')
    expect(tileWords(tile('a', result('tap', null)))).toBe('tap → nothing')
    expect(tileWords(tile('a', result('', null, 'ignored')))).toBe('ignored, brush')
    expect(tileWords(tile('a'))).toBe('not decided yet')
  })

  it('takes newer views and leaves older ones', () => {
    const first = takeView(NO_TILES, view('s', 3, 1, tile('a', result('tap', 'Wake'))))
    expect(takeView(first, view('s', 2, 1))).toBe(first)
    expect(takeView(first, view('s', 9, 0))).toBe(first)
  })

  it('notes what a late message has changed, and what a moved boundary has', () => {
    let state = takeView(NO_TILES, view('s', 1, 1, tile('a', result('long', 'Call'))))
    state = takeView(state, view('s', 2, 1, tile('a', result('tap', 'Wake'))))
    expect(summary(state)).toEqual([['tap → Wake', 'long → Call']])
    state = takeView(state, view('s', 2, 2, tile('a', result('long', 'Call'))))
    expect(summary(state)).toEqual([['long → Call', 'tap → Wake in revision 1']])
  })

  it('keeps what a view passes over, and lets go what is no longer there', () => {
    const at = (key: string, began: number, action: string) => ({
      ...tile(key, result('tap', action)),
      began_us: began,
    })
    const before = takeView(NO_TILES, view('s', 3, 1, at('c', 30, 'C'), at('b', 20, 'B'), at('a', 10, 'A')))
    const later = { ...view('s', 4, 1, at('d', 40, 'D'), at('b', 20, 'B anew')), from_us: 25 }
    expect(summary(takeView(before, later)).map(([words]) => words)).toEqual([
      'tap → D',
      'tap → B anew',
      'tap → A',
    ])
  })

  it('puts what is new in front and what was before behind', () => {
    const live = takeView(NO_TILES, view('live', 1, 1, tile('l', result('tap', 'Wake'))))
    const state = takeHistory(live, [
      view('live', 1, 2, tile('l', result('tap', 'Mark'))),
      view('old', 4, 2, tile('o', result('tap', 'Wake'))),
    ])
    expect(summary(state)).toEqual([
      ['tap → Mark', 'tap → Wake in revision 1'],
      ['tap → Wake', undefined],
    ])
    expect(summary(takeView(state, view('newest', 1, 2, tile('n', result('tap', 'Call')))))[0]).toEqual([
      'tap → Call',
      undefined,
    ])
  })
})
