import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { Lane, LaneGesture, MovedLane } from '../../shared/api'
import { useChange, type Spot } from '../../shared/fitting'
import type { Chosen } from '../assign'
import { useLive } from '../bench'
import type { BoundaryDraft } from './BoundaryHandle'
import { LaneLabel } from './LaneLabel'
import { moved } from './moved'
import { NotMoved } from './NotMoved'
import { SlimStrip } from './SlimStrip'
import { StretchStrip } from './StretchStrip'
import type { Scales } from './scale'
import { useAlong } from './useAlong'
import type { StripWidths } from './useStripWidths'
import styles from './lanes.module.css'

interface Props {
  client: string
  /** Where it is looked at. */
  spot: Spot
  lane: Lane
  /** What of it is another while a boundary of its device is being moved. */
  moving?: MovedLane | undefined
  /** Said in place of its own name. */
  label?: string
  scales: Scales
  widths: StripWidths
  chosen: LaneGesture | undefined
  /** Is it among several; undefined where none are being chosen. */
  picked?: boolean | undefined
  onPick?: (button: string) => void
  onChoose: (chosen: Chosen) => void
  onButton?: (button: Lane['button']) => void
}

/** What is dragged or stepped goes to the nearest value that can be set. */
const timing = (button: string, spot: Spot, { setting, valueMs }: BoundaryDraft) => ({
  kind: 'timing' as const,
  button,
  ...spot,
  setting,
  value: valueMs,
  nearest: true,
})

/** One button's whole behaviour on one time line. */
export const LaneRow = memo(function LaneRow(props: Props) {
  const { client, spot, lane, moving, label, scales, widths, chosen, picked, onPick } = props
  const { onChoose, onButton } = props
  const [draft, setDraft] = useState<BoundaryDraft>()
  const { change: save } = useChange()
  const live = useLive(lane.button.ref)
  const { ref, full_name: name } = lane.button

  const along = useAlong(client, ref, spot, draft)
  const state = along.moving?.get(ref) ?? moving
  const shown = useMemo(() => (state ? moved(lane, state) : lane), [state, lane])

  const saving = useRef(save)
  useEffect(() => {
    saving.current = save
  })
  const commit = useCallback(
    async (done: BoundaryDraft) => {
      // A refusal stays with the desk, which says why it was not saved.
      await saving.current(timing(ref, spot, done), '', { tell: true })
      setDraft((now) => (now === done ? undefined : now))
    },
    [ref, spot],
  )
  const words = [
    ...shown.own.filter((one) => !one.kept).map((one) => one.lost),
    ...shown.cautions.filter((one) => one.stands).map((one) => one.what),
  ].filter((one) => one !== null)

  return (
    <div
      role="group"
      className={live.down ? styles.laneDown : styles.lane}
      aria-label={label ?? name}
      data-button={ref}
    >
      <LaneLabel
        lane={shown}
        label={label}
        down={live.down}
        picked={picked}
        onPick={onPick}
        onButton={onButton}
      />
      {lane.timed ? (
        (['held', 'apart'] as const).map((stretch) => (
          <StretchStrip
            key={stretch}
            stretch={stretch}
            lane={shown}
            name={name}
            boundaries={lane.boundaries}
            scale={scales[stretch]}
            width={widths[stretch]}
            chosen={chosen}
            live={live}
            valuesOf={along.valuesOf}
            onHold={along.hold}
            draft={draft}
            onDraft={setDraft}
            onCommit={commit}
            onChoose={onChoose}
          />
        ))
      ) : (
        <SlimStrip lane={shown} chosen={chosen} words={words} onChoose={onChoose} />
      )}
      <NotMoved error={along.error} />
      {shown.limits.map((limit) => (
        <p key={limit.what} className={styles.limits}>
          {limit.what}
        </p>
      ))}
      {lane.timed &&
        words.map((one) => (
          <p key={one} className={styles.cautions}>
            {one}
          </p>
        ))}
    </div>
  )
})
