import { beforeEach, describe, expect, it } from 'vitest'
import { carryTo, neighbour } from './picking'
import { rowsOfTags } from './scale'

const button = {
  ref: 'a/one',
  name: 'One',
  full_name: 'Mouse, Left',
  print: '',
  kind: 'contact' as const,
  off: false,
}

describe('carryTo', () => {
  it('keeps the place and mode that are shown', () => {
    const carried = { button, gesture: 'long_press' as const, name: 'Louder', copy: true }
    expect(carryTo(carried, { place: 'letters', mode: 'base' }, 'a/two', 'tap')).toEqual({
      kind: 'carry',
      button: 'a/one',
      gesture: 'long_press',
      place: 'letters',
      mode: 'base',
      copy: true,
      to: { button: 'a/two', gesture: 'tap' },
    })
  })
})

describe('neighbour', () => {
  /** Lanes with spots at these places on the screen. */
  const lanes: Record<string, number[]> = { one: [0, 100, 300], two: [90, 280], three: [10] }
  let spots: HTMLElement[]

  beforeEach(() => {
    spots = Object.entries(lanes).flatMap(([name, lefts]) => {
      const lane = document.createElement('section')
      lane.dataset['button'] = name
      return lefts.map((left) => {
        const spot = document.createElement('button')
        spot.textContent = `${name} ${String(left)}`
        spot.getBoundingClientRect = () => ({ left, width: 40 }) as DOMRect
        return lane.appendChild(spot)
      })
    })
  })

  it.each([
    ['one 0', 'ArrowRight', 'one 100'],
    ['one 300', 'ArrowRight', undefined],
    ['one 0', 'ArrowLeft', undefined],
    ['one 300', 'ArrowLeft', 'one 100'],
    ['one 100', 'ArrowDown', 'two 90'],
    ['one 300', 'ArrowDown', 'two 280'],
    ['two 280', 'ArrowDown', 'three 10'],
    ['three 10', 'ArrowUp', 'two 90'],
    ['three 10', 'ArrowDown', undefined],
    ['one 0', 'ArrowUp', undefined],
  ])('from %s by %s to %s', (from, key, to) => {
    const here = spots.find((spot) => spot.textContent === from)
    if (!here) throw new Error('no such spot')
    expect(neighbour(spots, here, key)?.textContent).toBe(to)
  })
})

describe('rowsOfTags', () => {
  it.each([
    [
      [30, 60],
      [0, 0],
    ],
    [
      [30, 40],
      [0, 1],
    ],
    [
      [30, 40, 50],
      [0, 1, 2],
    ],
    [
      [50, 30, 80],
      [0, 1, 0],
    ],
    [[], []],
  ])('tags at %j stand in rows %j', (at, rows) => {
    expect(rowsOfTags(at, 25)).toEqual(rows)
  })
})
