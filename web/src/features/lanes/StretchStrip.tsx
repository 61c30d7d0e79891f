import { memo, useContext } from 'react'
import type { Boundary, Gesture, Lane, LaneGesture, Region, Stretch } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { spotName, type Chosen } from '../assign'
import type { Live } from '../bench'
import { BoundaryHandle, type BoundaryDraft } from './BoundaryHandle'
import { ChipButton, chipWidth, emptyWidth, EmptyButton } from './ChipButton'
import { HandContext } from './hand'
import { GrowingPress } from './GrowingPress'
import { gestureOf } from './picking'
import { GAP_PX, placed, type Item } from './placing'
import type { StretchScale } from './scale'
import { StretchRegions } from './StretchRegions'
import styles from './lanes.module.css'
import boundaryStyles from './boundary.module.css'

/** In which region of its stretch a gesture stands. */
const REGION_OF: Record<LaneGesture, Region['kind']> = {
  tap: 'counts',
  builtin: 'counts',
  long_press: 'long',
  hold: 'long',
  double_tap: 'joins',
  triple_tap: 'joins',
}
/** Half of a boundary’s tag. */
const TAG_PX = 28

interface Props {
  stretch: Stretch
  lane: Lane
  /** What it is called with its device. */
  name: string
  /** As saved; the lane may already show a boundary that is being moved. */
  boundaries: Boundary[]
  scale: StretchScale
  /** How wide it is drawn, in px. */
  width: number
  chosen: LaneGesture | undefined
  live: Live
  valuesOf: (setting: string) => number[] | undefined
  onHold: (setting: string, toMs: number) => void
  draft: BoundaryDraft | undefined
  onDraft: (draft: BoundaryDraft | undefined) => void
  onCommit: (draft: BoundaryDraft) => unknown
  onChoose: (chosen: Chosen) => void
}

/** Drawn anew only where something of its own lane is another. */
export const StretchStrip = memo(function StretchStrip(props: Props) {
  const { stretch, lane, name, boundaries, scale, width, chosen, live, draft } = props
  const { onDraft, onCommit, onChoose } = props
  const fixed = !useMayChange()
  const hand = useContext(HandContext)
  const freeAt = (gesture: Gesture) => hand?.free.get(spotName(lane.button.ref, gesture))
  const regions = lane.regions.filter((region) => region.stretch === stretch)
  const px = (ms: number) => (scale.percent(ms) / 100) * width
  // Where a filter has swallowed the region, what stands there is shown in what swallowed it.
  const regionOf = (gesture: LaneGesture) =>
    regions.find(({ kind }) => kind === REGION_OF[gesture]) ??
    regions.find(({ kind }) => kind === 'ignored') ??
    regions[0]
  const beginOf = (gesture: LaneGesture) => px((regionOf(gesture)?.from_us ?? 0) / 1000)
  /** Up to the boundary that ends it. */
  const roomOf = (gesture: LaneGesture) => {
    const end = regionOf(gesture)?.to_us ?? null
    return (end === null ? width : px(end / 1000)) - beginOf(gesture) - 2 * GAP_PX
  }
  const standing: (Item & { chip?: Lane['chips'][number]; empty?: Lane['empties'][number] })[] = [
    ...lane.chips.map((chip) => ({
      chip,
      at: beginOf(chip.gesture),
      width: chipWidth(chip, lane, freeAt(gestureOf(chip)), roomOf(chip.gesture)),
    })),
    ...lane.empties.map((empty) => ({
      empty,
      at: beginOf(empty.gesture),
      width: emptyWidth(freeAt(empty.gesture)),
    })),
  ]
    .filter(({ chip, empty }: { chip?: { stretch: Stretch }; empty?: { stretch: Stretch } }) =>
      [chip?.stretch, empty?.stretch].includes(stretch),
    )
    .sort((one, other) => one.at - other.at)
  const own = fixed ? [] : boundaries.filter((one) => one.stretch === stretch && one.own)
  const valueOf = (one: Boundary) => (draft?.setting === one.setting ? draft.valueMs : one.value_ms)
  const places = placed(
    standing,
    own.map((one) => ({ from: px(valueOf(one)) - TAG_PX, to: px(valueOf(one)) + TAG_PX })),
    width,
  )
  const propsFor = (gesture: LaneGesture) => ({
    chosen,
    onChoose: () => onChoose({ button: lane.button, gesture: gesture === 'builtin' ? 'tap' : gesture }),
  })
  return (
    <div
      className={stretch === 'held' ? boundaryStyles.held : boundaryStyles.apart}
      // The row of the tags has its height, whatever else stands in it.
      style={own.length > 0 ? { gridTemplateRows: 'minmax(44px, auto)' } : undefined}
    >
      <StretchRegions scale={scale} regions={regions} />
      {lane.boundaries
        .filter((one) => one.stretch === stretch && !(one.own && !fixed))
        .map((one) => (
          <div
            key={one.setting}
            className={styles.line}
            style={{ insetInlineStart: `${String(scale.percent(one.value_ms))}%` }}
          />
        ))}
      {standing.map(({ chip, empty }, index) => {
        const place = places[index]
        const style = place && {
          gridRow: place.row + 1,
          marginInlineStart: place.x,
          width: place.width,
        }
        if (chip)
          return (
            <ChipButton
              key={chip.gesture}
              chip={chip}
              lane={lane}
              style={style}
              {...propsFor(gestureOf(chip))}
            />
          )
        return (
          empty && (
            <EmptyButton
              key={empty.gesture}
              empty={empty}
              button={lane.button}
              style={style}
              {...propsFor(empty.gesture)}
            />
          )
        )
      })}
      {own.map((boundary) => (
        <BoundaryHandle
          key={boundary.setting}
          boundary={boundary}
          of={name}
          scale={scale}
          values={props.valuesOf(boundary.setting)}
          onHold={props.onHold}
          draft={draft?.setting === boundary.setting ? draft : undefined}
          onDraft={onDraft}
          onCommit={onCommit}
        />
      ))}
      <GrowingPress stretch={stretch} live={live} scale={scale} />
    </div>
  )
})
