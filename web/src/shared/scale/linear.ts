/** From values to places on a picture, in proportion; a place may lie beyond both ends. */
export interface Linear {
  (value: number): number
  /** The value at a place. */
  at: (place: number) => number
  /** Round figures between both ends, about so many. */
  ticks: (count: number) => number[]
}

export function linear([from, to]: [number, number], [first, last]: [number, number]): Linear {
  const share = to === from ? 0 : (last - first) / (to - from)
  return Object.assign((value: number) => first + (value - from) * share, {
    at: (place: number) => (share === 0 ? from : from + (place - first) / share),
    ticks: (count: number) => roundFigures(from, to, count),
  })
}

/** A step of one, two or five times a power of ten: figures that are read at a glance. */
function roundFigures(from: number, to: number, count: number): number[] {
  const wanted = (to - from) / Math.max(1, count)
  if (!(wanted > 0) || !Number.isFinite(wanted)) return []
  const power = 10 ** Math.floor(Math.log10(wanted))
  // To whichever is nearest in proportion.
  const times = [1, 2, 5].find((one, index) => wanted / power < Math.sqrt(one * ([2, 5, 10][index] ?? 10)))
  const step = power * (times ?? 10)
  const [begin, end] = [Math.ceil(from / step), Math.floor(to / step)]
  // Below one, counted in steps and divided: no figure becomes 0.30000000000000004.
  return Array.from({ length: end - begin + 1 }, (_, index) =>
    step < 1 ? (begin + index) / Math.round(1 / step) : (begin + index) * step,
  )
}
