import { memo, type CSSProperties } from 'react'
import type { Boundary, Gesture, Lane, LaneGesture, Region, Stretch } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import type { Chosen } from '../assign'
import type { Live } from '../bench'
import { BoundaryHandle, type BoundaryDraft } from './BoundaryHandle'
import { ChipButton, EmptyButton, gestureOf } from './ChipButton'
import { GrowingPress } from './GrowingPress'
import { rowsOfTags, type StretchScale } from './scale'
import styles from './lanes.module.css'

const ROW_PX = 64

/** In which region of its stretch a gesture stands. */
const REGION_OF: Record<LaneGesture, Region['kind']> = {
  tap: 'counts',
  builtin: 'counts',
  long_press: 'long',
  hold: 'long',
  double_tap: 'joins',
  triple_tap: 'joins',
}

const REGION_WORDS: Partial<Record<Region['kind'], string>> = {
  new: 'a new press',
  bridged: 'same press',
  ignored: 'ignored',
}

interface Props {
  stretch: Stretch
  lane: Lane
  /** As saved; the lane may already show a boundary that is being moved. */
  boundaries: Boundary[]
  scale: StretchScale
  chosen: LaneGesture | undefined
  live: Live
  draft: BoundaryDraft | undefined
  onDraft: (draft: BoundaryDraft | undefined) => void
  onCommit: (draft: BoundaryDraft) => unknown
  onChoose: (chosen: Chosen) => void
}

/** From milliseconds to the left edge and width of something on the picture. */
function span(scale: StretchScale, region: Region) {
  const from = scale.percent(region.from_us / 1000)
  const to = region.to_us === null ? 100 : scale.percent(region.to_us / 1000)
  return { left: `${String(from)}%`, width: `${String(Math.max(to - from, 0))}%` }
}

/** Tags closer than this, in percent of the width, would cover each other. */
const CLOSE: Record<Stretch, number> = { held: 17, apart: 29 }

/** Drawn anew only where something of its own lane is another. */
export const StretchStrip = memo(function StretchStrip(props: Props) {
  const { stretch, lane, boundaries, scale, chosen, live, draft, onDraft, onCommit, onChoose } = props
  const fixed = !useMayChange()
  const regions = lane.regions.filter((region) => region.stretch === stretch)
  const kinds = regions.map((region) => region.kind)
  // Where a filter has swallowed the region, what stands there is shown in what swallowed it.
  const placeOf = (gesture: LaneGesture) => {
    const kind = REGION_OF[gesture]
    return kinds.includes(kind) ? kind : (kinds.find((one) => one === 'ignored') ?? kinds[0])
  }
  const inRegion = (kind: Region['kind']) => ({
    chips: lane.chips.filter((chip) => chip.stretch === stretch && placeOf(chip.gesture) === kind),
    // A third tap is offered in the side sheet and the table; here there is no room to tell it apart.
    empties: lane.empties.filter(
      (empty) =>
        empty.stretch === stretch && placeOf(empty.gesture) === kind && empty.gesture !== 'triple_tap',
    ),
  })
  const rows = Math.max(
    1,
    ...regions.map(({ kind }) => inRegion(kind).chips.length + inRegion(kind).empties.length),
  )
  const propsFor = (gesture: Gesture) => ({
    button: lane.button,
    chosen,
    onChoose: () => onChoose({ button: lane.button, gesture }),
  })

  const height = rows * ROW_PX + 8
  const handles = boundaries.filter((boundary) => boundary.stretch === stretch)
  const tags = rowsOfTags(
    handles.map((boundary) => scale.percent(boundary.value_ms)),
    CLOSE[stretch],
  )
  return (
    <div
      className={stretch === 'held' ? styles.held : styles.apart}
      style={{ '--strip': `${String(height)}px`, '--tag-rows': Math.max(-1, ...tags) + 1 } as CSSProperties}
    >
      <div className={styles.strip} style={{ height }}>
        {regions.map((region) => {
          const { chips, empties } = inRegion(region.kind)
          const words = chips.length + empties.length === 0 ? REGION_WORDS[region.kind] : undefined
          return (
            <div
              key={region.kind}
              className={styles.region}
              data-kind={region.kind}
              style={span(scale, region)}
            >
              {words && <span className={styles.regionWords}>{words}</span>}
              {chips.map((chip) => (
                <ChipButton
                  key={chip.gesture}
                  chip={chip}
                  limit={lane.limits.find((one) => one.gesture === chip.gesture)}
                  {...propsFor(gestureOf(chip))}
                />
              ))}
              {empties.map((empty) => (
                <EmptyButton key={empty.gesture} empty={empty} {...propsFor(empty.gesture)} />
              ))}
            </div>
          )
        })}
        <GrowingPress stretch={stretch} live={live} scale={scale} />
      </div>
      {handles.map((boundary, index) => (
        <BoundaryHandle
          key={boundary.setting}
          boundary={boundary}
          buttonName={lane.button.name}
          scale={scale}
          row={tags[index] ?? 0}
          fixed={fixed}
          draft={draft?.setting === boundary.setting ? draft : undefined}
          onDraft={onDraft}
          onCommit={onCommit}
        />
      ))}
    </div>
  )
})
