import type { Boundary, FitSetting, Stretch, TimingValues } from '../../shared/api'
import { BoundaryHandle, rowsOfTags, type BoundaryDraft, type StretchScale } from '../lanes'
import { ROW_PX, ROW_TAG_PX } from './rows'
import { NAMES, say } from './sentences'
import styles from './marks.module.css'

/** So far below its row’s beginning a tag begins. */
const TAG_TOP_PX = 8
/** Tags closer to each other than this stand in rows. */
const CLOSE_PERCENT: Record<Stretch, number> = { held: 8, apart: 14 }

interface HandlesProps {
  rowsAbove: number
  settings: FitSetting[]
  stretch: Stretch
  scale: StretchScale
  timing: TimingValues
  fixed: boolean
  draft: BoundaryDraft | undefined
  held: string | undefined
  values: number[] | undefined
  onHold: (name: string) => void
  onDraft: (draft: BoundaryDraft | undefined) => void
  onCommit: (draft: BoundaryDraft) => void
}

/** The boundaries of a stretch, each with its tag and name below the rows of marks. */
export function TrialHandles(props: HandlesProps) {
  const { settings, rowsAbove, stretch, scale, timing, fixed, draft, held, values } = props
  const { onHold, onDraft, onCommit } = props
  const at = settings.map((one) =>
    draft?.setting === one.name ? draft.valueMs : Number(timing[one.name] ?? one.value),
  )
  const rows = rowsOfTags(
    at.map((ms) => scale.percent(ms)),
    CLOSE_PERCENT[stretch],
  )
  return (
    <div
      className={styles.handles}
      style={{ height: `${String((Math.max(0, ...rows) + 1) * ROW_TAG_PX)}px` }}
    >
      {settings.map((one, index) => (
        <div key={one.name}>
          <span
            className={styles.handleLine}
            style={{
              insetInlineStart: `${String(scale.percent(at[index] ?? 0))}%`,
              top: -rowsAbove * ROW_PX,
              height: rowsAbove * ROW_PX + (rows[index] ?? 0) * ROW_TAG_PX + TAG_TOP_PX,
            }}
          />
          <small
            className={styles.handleName}
            aria-hidden="true"
            // Where there is no room behind the tag it stands before it.
            style={{
              [scale.percent(at[index] ?? 0) > 70 ? 'insetInlineEnd' : 'insetInlineStart']: `${String(
                scale.percent(at[index] ?? 0) > 70
                  ? 100 - scale.percent(at[index] ?? 0)
                  : scale.percent(at[index] ?? 0),
              )}%`,
              top: (rows[index] ?? 0) * ROW_TAG_PX,
            }}
          >
            {NAMES[one.name]}
          </small>
          <BoundaryHandle
            boundary={boundaryOf(one, stretch, Number(timing[one.name] ?? one.value))}
            of={say.lanesTitle}
            scale={scale}
            row={rows[index] ?? 0}
            alone
            fixed={fixed || one.fixed}
            values={held === one.name ? values : undefined}
            onHold={onHold}
            draft={draft?.setting === one.name ? draft : undefined}
            onDraft={onDraft}
            onCommit={onCommit}
          />
        </div>
      ))}
    </div>
  )
}

const boundaryOf = (one: FitSetting, stretch: Stretch, value: number): Boundary => ({
  setting: one.name,
  stretch,
  own: true,
  value_ms: value,
  from_ms: one.from,
  to_ms: one.to,
  step_ms: 1,
})
