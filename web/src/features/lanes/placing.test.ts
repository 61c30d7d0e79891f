import { describe, expect, it } from 'vitest'
import { GAP_PX, placed, type Item, type Taken } from './placing'

/** Figures that look random and are the same every time. */
function figures(seed: number) {
  let now = seed
  return (most: number) => {
    now = (now * 48271) % 2147483647
    return now % most
  }
}

describe('placed', () => {
  it('stands each at its stretch where there is room', () => {
    const items = [
      { at: 0, width: 90 },
      { at: 180, width: 52 },
    ]
    expect(placed(items, [], 520)).toEqual([
      { row: 0, x: 4, width: 90 },
      { row: 0, x: 184, width: 52 },
    ])
  })

  it('moves a little on, past a tag too, and into a further row where it would be far', () => {
    expect(placed([{ at: 200, width: 80 }], [{ from: 172, to: 228 }], 520)[0]).toEqual({
      row: 0,
      x: 232,
      width: 80,
    })
    expect(
      placed(
        [
          { at: 0, width: 250 },
          { at: 100, width: 80 },
        ],
        [],
        520,
      ).map(({ row, x }) => [row, x]),
    ).toEqual([
      [0, 4],
      [1, 104],
    ])
  })

  it('comes back from the end, and is at most as wide as all', () => {
    expect(placed([{ at: 500, width: 100 }], [], 520)[0]?.x).toBe(416)
    expect(placed([{ at: 30, width: 900 }], [], 200)[0]).toEqual({ row: 0, x: 4, width: 192 })
  })

  it('covers nothing and reaches beyond nothing, whatever there is', () => {
    const figure = figures(20261127)
    for (let round = 0; round < 3000; round += 1) {
      const all = 90 + figure(600)
      const items: Item[] = Array.from({ length: 1 + figure(5) }, () => ({
        at: figure(all),
        width: 44 + figure(280),
      })).sort((one, other) => one.at - other.at)
      const taken: Taken[] = Array.from({ length: figure(3) }, () => figure(all)).map((at) => ({
        from: at - 28,
        to: at + 28,
      }))
      const places = placed(items, taken, all)
      const boxes = places.map(({ row, x, width }) => ({ row, from: x, to: x + width }))
      const apart = (one: Taken, other: Taken) => one.to <= other.from || other.to <= one.from
      // Asked once a round: asking is what takes long.
      const wrong = boxes.filter(
        (box, index) =>
          box.from < GAP_PX ||
          box.to > all - GAP_PX ||
          boxes.slice(index + 1).some((other) => box.row === other.row && !apart(box, other)) ||
          (box.row === 0 && taken.some((tag) => !apart(box, tag))),
      )
      expect({ round, wrong }).toEqual({ round, wrong: [] })
    }
  })
})
