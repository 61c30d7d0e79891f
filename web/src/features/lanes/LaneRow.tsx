import { memo, useCallback, useEffect, useRef, useState } from 'react'
import type { Lane, LaneGesture } from '../../shared/api'
import { useChange, usePreview } from '../../shared/fitting'
import type { Chosen } from '../assign'
import { useLive } from '../bench'
import type { BoundaryDraft } from './BoundaryHandle'
import { StretchStrip } from './StretchStrip'
import type { Scales } from './scale'
import styles from './lanes.module.css'

interface Props {
  client: string
  revision: number
  lane: Lane
  /** Its device’s name, where several devices are shown. */
  device: string | undefined
  scales: Scales
  chosen: LaneGesture | undefined
  /** Is it among several; undefined where none are being chosen. */
  picked?: boolean | undefined
  onPick?: (button: string) => void
  onChoose: (chosen: Chosen) => void
}

/** What is dragged or stepped goes to the nearest value that can be set. */
const timing = (button: string, { setting, valueMs }: BoundaryDraft) => ({
  kind: 'timing' as const,
  button,
  setting,
  value: valueMs,
  nearest: true,
})

/** One button's whole behaviour on one time line. */
export const LaneRow = memo(function LaneRow(props: Props) {
  const { client, revision, lane, device, scales, chosen, picked, onPick, onChoose } = props
  const [draft, setDraft] = useState<BoundaryDraft>()
  const { change: save } = useChange()
  const live = useLive(lane.button.ref)
  const { ref, name, print, off } = lane.button

  const preview = usePreview(client, draft && timing(ref, draft), revision)
  const shown = (draft && preview.last?.buttons[0]?.lane) ?? lane

  const saving = useRef(save)
  useEffect(() => {
    saving.current = save
  })
  const commit = useCallback(
    async (done: BoundaryDraft) => {
      // A refusal stays with the desk, which says why it was not saved.
      await saving.current(timing(ref, done), '', { tell: true })
      setDraft((now) => (now === done ? undefined : now))
    },
    [ref],
  )

  return (
    <section
      className={live.down ? styles.laneDown : styles.lane}
      aria-label={device ? `${device}, ${name}` : name}
      data-button={ref}
    >
      <div className={styles.label}>
        <h3>{name}</h3>
        {picked !== undefined && (
          <label className={styles.pick}>
            <input
              type="checkbox"
              checked={picked}
              aria-label={`Choose ${device ? `${device}, ` : ''}${name}`}
              onChange={() => onPick?.(ref)}
            />
            choose
          </label>
        )}
        {off && <p>switched off</p>}
        {device && <p>{device}</p>}
        {print && <p>print: {print}</p>}
        {shown.own.some((one) => one.kept) && (
          <p>
            also by itself:{' '}
            {shown.own
              .filter((one) => one.kept)
              .map((one) => one.words)
              .join(', ')}
          </p>
        )}
        {live.down && <p className={styles.down}>down</p>}
      </div>
      {(['held', 'apart'] as const).map((stretch) => (
        <StretchStrip
          key={stretch}
          stretch={stretch}
          lane={shown}
          boundaries={lane.boundaries}
          scale={scales[stretch]}
          chosen={chosen}
          live={live}
          draft={draft}
          onDraft={setDraft}
          onCommit={commit}
          onChoose={onChoose}
        />
      ))}
      {shown.limits.map((limit) => (
        <p key={limit.gesture} className={styles.limits}>
          {limit.words}
        </p>
      ))}
      {shown.own
        .filter((one) => !one.kept)
        .map((one) => (
          <p key={one.gesture} className={styles.cautions}>
            {one.lost}
          </p>
        ))}
      {shown.cautions
        .filter((caution) => caution.stands)
        .map((caution) => (
          <p key={caution.kind + caution.words} className={styles.cautions}>
            {caution.words}
          </p>
        ))}
    </section>
  )
})
