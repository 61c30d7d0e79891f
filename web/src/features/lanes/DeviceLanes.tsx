import { useState, type ReactNode } from 'react'
import type { Boundary, Device, MovedLane } from '../../shared/api'
import { useChange, type Spot } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { SETTING_NAMES } from '../assign'
import { BoundaryHandle, type BoundaryDraft } from './BoundaryHandle'
import { NotMoved } from './NotMoved'
import { rowsOfTags, type Scales } from './scale'
import { widthOf } from './text'
import { useAlong } from './useAlong'
import type { StripWidths } from './useStripWidths'
import styles from './lanes.module.css'
import boundaryStyles from './boundary.module.css'
import { say } from './sentences'

interface Props {
  client: string
  /** Where the lanes are looked at. */
  spot: Spot
  device: Device
  boundaries: Boundary[]
  scales: Scales
  widths: StripWidths
  /** Its lanes; moving – by button, what of them is another while a boundary is moved. */
  children: (moving: ReadonlyMap<string, MovedLane>) => ReactNode
}

const timing = (device: string, spot: Spot, { setting, valueMs }: BoundaryDraft) => ({
  kind: 'device_timing' as const,
  device,
  ...spot,
  setting,
  value: valueMs,
  nearest: true,
})

const STILL: ReadonlyMap<string, MovedLane> = new Map()

/** Tags closer than this, in px, would cover each other. */
const CLOSE_PX = 60
/** From the line to where its tag ends. */
const BESIDE_PX = 32

/** What the device is called and how it is worked, the boundaries that its buttons share, and their lanes. */
export function DeviceLanes(props: Props) {
  const { client, spot, device, boundaries, scales, widths, children } = props
  const fixed = !useMayChange()
  const [draft, setDraft] = useState<BoundaryDraft>()
  const { change } = useChange()
  const along = useAlong(client, device.id, spot, draft)
  const commit = async (done: BoundaryDraft) => {
    // A refusal stays with the desk, which says why it was not saved.
    await change(timing(device.id, spot, done), '', { tell: true })
    setDraft((now) => (now === done ? undefined : now))
  }
  const count = device.buttons.length
  const about = [device.worked_with, count === 1 ? undefined : say.buttons(String(count))].filter(Boolean)
  return (
    <section className={styles.device} aria-label={device.name} data-device={device.id}>
      <div
        className={styles.deviceHead}
        data-head={device.id}
        role="group"
        aria-label={say.timesThatButtonsShare(device.name)}
      >
        <div className={styles.deviceName}>
          <h3>{device.name}</h3>
          <p>{about.join(' · ')}</p>
        </div>
        {(['held', 'apart'] as const).map((stretch) => {
          const own = boundaries.filter((one) => one.stretch === stretch)
          const px = own.map((one) => (scales[stretch].percent(one.value_ms) / 100) * widths[stretch])
          const rows = rowsOfTags(px, CLOSE_PX)
          return (
            <div
              key={stretch}
              className={stretch === 'held' ? boundaryStyles.headHeld : boundaryStyles.headApart}
              style={{ minHeight: 44 + 40 * Math.max(0, ...rows) }}
            >
              {own.map((boundary, index) => (
                <BoundaryHandle
                  key={boundary.setting}
                  boundary={boundary}
                  of={device.name}
                  scale={scales[stretch]}
                  row={rows[index] ?? 0}
                  fixed={fixed}
                  values={along.valuesOf(boundary.setting)}
                  onHold={along.hold}
                  draft={draft?.setting === boundary.setting ? draft : undefined}
                  onDraft={setDraft}
                  onCommit={(done) => void commit(done)}
                />
              ))}
              {own.map((boundary, index) => {
                const words = SETTING_NAMES[boundary.setting]?.toLowerCase() ?? ''
                const from = (px[index] ?? 0) + BESIDE_PX
                const next = Math.min(
                  ...px.filter((at, other) => rows[other] === rows[index] && at > (px[index] ?? 0)),
                  widths[stretch] + BESIDE_PX,
                )
                if (draft || from + widthOf(words, 'note') > next - BESIDE_PX) return null
                return (
                  <span
                    key={boundary.setting}
                    className={styles.tagWords}
                    style={{ insetInlineStart: from, top: 40 * (rows[index] ?? 0) }}
                    aria-hidden="true"
                  >
                    {words}
                  </span>
                )
              })}
            </div>
          )
        })}
      </div>
      <NotMoved error={along.error} />
      {children(along.moving ?? STILL)}
    </section>
  )
}
