/** Something that stands in a lane, at its natural width. */
export interface Item {
  /** Where it belongs: the left end of its stretch, in px. */
  at: number
  width: number
}

export interface Placed {
  row: number
  x: number
  width: number
}

/** Between one and the next. */
export const GAP_PX = 4

/** A part of the first row that is taken: a boundary’s own tag. */
export interface Taken {
  from: number
  to: number
}

/**
 * Where each stands so that none covers another or loses words: as near to its stretch as can be, in the
 * first row with room; what is wider than all is as wide as all, and grows in height.
 * items – from left to right; taken – of the first row; all – px there are
 */
export function placed(items: Item[], taken: Taken[], all: number): Placed[] {
  const ends: number[] = []
  const tags = [...taken].sort((one, other) => one.from - other.from)
  return items.map((item) => {
    const width = Math.min(item.width, all - 2 * GAP_PX)
    const most = Math.max(GAP_PX, all - width - GAP_PX)
    const wish = Math.min(item.at + GAP_PX, most)
    for (let row = 0; ; row += 1) {
      const x = clearOf(row === 0 ? tags : [], Math.max(wish, (ends[row] ?? 0) + GAP_PX), width)
      // Moved on far, it would be taken for another stretch's.
      const near = x - wish <= NEAR_PX || ends[row] === undefined
      if (x <= most && near) {
        ends[row] = x + width
        return { row, x, width }
      }
      if (ends[row] === undefined && row > 0) {
        ends[row] = wish + width
        return { row, x: wish, width }
      }
    }
  })
}

const NEAR_PX = 40

/** The first place from x on that is clear of what is taken; that from left to right. */
function clearOf(taken: Taken[], x: number, width: number): number {
  return taken.reduce((at, one) => (at < one.to && at + width > one.from ? one.to + GAP_PX : at), x)
}
