import type { Lane, Stretch } from '../../shared/api'
import { linear } from '../../shared/scale'

/** Where times lie on the picture: one scale for each stretch, shared by all lanes. */
export interface StretchScale {
  maxMs: number
  /** At most about so many round figures. */
  ticks: (count: number) => number[]
  /** Milliseconds to percent of the width, kept on the picture. */
  percent: (ms: number) => number
  /** A share of the width (0..1) back to milliseconds. */
  ms: (share: number) => number
}

export type Scales = Record<Stretch, StretchScale>

const LEAST_MS: Record<Stretch, number> = { held: 1500, apart: 600 }
const ROOM: Record<Stretch, number> = { held: 1.5, apart: 1.6 }

export function stretchScale(maxMs: number): StretchScale {
  const scale = linear([0, maxMs], [0, 100])
  const within = (value: number, most: number) => Math.min(most, Math.max(0, value))
  return {
    maxMs,
    ticks: scale.ticks,
    percent: (ms) => within(scale(ms), 100),
    ms: (share) => within(scale.at(share * 100), maxMs),
  }
}

/** Wide enough for every boundary of the lanes and heads, with room behind it. */
export function widestOf(lanes: Pick<Lane, 'boundaries'>[]): Record<Stretch, number> {
  const widest = (stretch: Stretch) => {
    const values = lanes.flatMap((lane) =>
      lane.boundaries.filter((one) => one.stretch === stretch).map((one) => one.value_ms),
    )
    const needed = Math.max(0, ...values) * ROOM[stretch]
    return Math.max(LEAST_MS[stretch], Math.ceil(needed / 100) * 100)
  }
  return { held: widest('held'), apart: widest('apart') }
}

export function scalesFor(lanes: Pick<Lane, 'boundaries'>[]): Scales {
  const { held, apart } = widestOf(lanes)
  return { held: stretchScale(held), apart: stretchScale(apart) }
}

/** In which row each tag stands: the first in which it is clear of those before it. */
export function rowsOfTags(at: number[], close: number): number[] {
  return at.reduce<number[]>((rows, percent, index) => {
    const taken = rows.filter((_, other) => Math.abs((at[other] ?? 0) - percent) < close)
    const free = [...at.keys()].find((row) => !taken.includes(row)) ?? 0
    return [...rows.slice(0, index), free]
  }, [])
}
