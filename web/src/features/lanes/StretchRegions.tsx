import type { Region } from '../../shared/api'
import type { StretchScale } from './scale'
import styles from './regions.module.css'

interface Props {
  scale: StretchScale
  /** Of one stretch. */
  regions: Region[]
  /** How tall they are drawn, in px; without it as tall as what they stand in. */
  height?: number
}

/** What a press becomes by its length, or what follows it by its gap, behind what stands on the stretch. */
export function StretchRegions({ scale, regions, height }: Props) {
  return regions.map((region) => (
    <div
      key={region.kind}
      className={styles.region}
      data-kind={region.kind}
      style={{ ...span(scale, region), height }}
    />
  ))
}

function span(scale: StretchScale, { from_us: from, to_us: to }: Region) {
  const begin = scale.percent(from / 1000)
  const end = to === null ? 100 : scale.percent(to / 1000)
  return { insetInlineStart: `${String(begin)}%`, width: `${String(Math.max(end - begin, 0))}%` }
}
