import { memo, useState } from 'react'
import type { Lane, LaneGesture } from '../../shared/api'
import { usePreview, useSaving } from '../../shared/fitting'
import { useAnnounce } from '../../shared/ui'
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

/** One button's whole behaviour on one time line. */
export const LaneRow = memo(function LaneRow(props: Props) {
  const { client, revision, lane, device, scales, chosen, picked, onPick, onChoose } = props
  const [draft, setDraft] = useState<BoundaryDraft>()
  const { save } = useSaving()
  const announce = useAnnounce()
  const live = useLive(lane.button.ref)
  const { ref, name, print, off } = lane.button

  const change = draft && {
    kind: 'timing' as const,
    button: ref,
    setting: draft.setting,
    value: draft.valueMs,
  }
  const preview = usePreview(client, change, revision)
  const shown = (draft && preview.data?.buttons[0]?.lane) ?? lane

  const commit = async (done: BoundaryDraft) => {
    try {
      const saved = await save({ kind: 'timing', button: ref, setting: done.setting, value: done.valueMs })
      announce(`Saved as revision ${String(saved.number)}.`)
    } catch {
      // The desk keeps the change and says why it was not saved.
    }
    setDraft((now) => (now === done ? undefined : now))
  }

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
          onCommit={(done) => void commit(done)}
          onChoose={onChoose}
        />
      ))}
      {shown.limits.map((limit) => (
        <p key={limit.gesture} className={styles.limits}>
          {limit.words}
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
