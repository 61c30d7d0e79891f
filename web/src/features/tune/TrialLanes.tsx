import { useMemo, useRef, useState, type KeyboardEvent } from 'react'
import type {
  Boundary,
  Fit,
  FitResult,
  FitSetting,
  Intended,
  SettingName,
  Stretch,
  TimingValues,
} from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { BoundaryHandle, rowsOfTags, stretchScale, type BoundaryDraft, type StretchScale } from '../lanes'
import { sides } from './sides'
import { useFitAlong } from './queries'
import { INTENDED, NAMES, say, VERDICTS } from './sentences'
import styles from './tune.module.css'

const ORDER = Object.keys(INTENDED) as Intended[]
/** A row of marks. */
const ROW_PX = 48
const ROW_TAG_PX = 44
const STRETCHES: Stretch[] = ['held', 'apart']
const LEAST_MS: Record<Stretch, number> = { held: 1000, apart: 500 }
/** Tags closer to each other than this stand in rows. */
const CLOSE_PERCENT: Record<Stretch, number> = { held: 8, apart: 14 }

interface Props {
  fit: Fit
  result: FitResult
  /** That is shown: fitted, or moved. */
  timing: TimingValues
  /** It was moved from what was fitted. */
  moved: boolean
  /** What each trial comes to under it, a letter each. */
  state: string
  onChoose: (setting: SettingName) => void
  onMove: (setting: SettingName, value: number) => void
  trial: number | undefined
  onTrial: (number: number) => void
}

/** The presses as marks on both stretches, told apart by what was asked; the boundaries between them can be moved. */
export function TrialLanes(props: Props) {
  const { fit, result, timing, state, moved, onChoose, onMove, trial, onTrial } = props
  const fixed = !useMayChange()
  const [draft, setDraft] = useState<BoundaryDraft>()
  const [held, setHeld] = useState<string>()
  const along = useFitAlong(fit.id, held, timing)
  const settings = result.settings.filter((one) => one.stretch !== null)
  const scales = useScales(result, settings, timing)
  const now = draft && along ? stateAt(along, draft.valueMs) : undefined
  const shownState = now ?? state
  const fitted = result.compared.at(-1)?.state ?? state
  // While it moves, and for as long as it is moved.
  const turned = useMemo(
    () => (now !== undefined || moved ? sides(fitted, shownState) : undefined),
    [fitted, shownState, now, moved],
  )
  const sorts = ORDER.filter((sort) => result.trials.some((one) => one.intended === sort))
  const values = along?.values.filter((value) => typeof value === 'number')
  return (
    <section aria-label={say.lanesTitle} className={styles.lanes}>
      {STRETCHES.map((stretch) => (
        <div key={stretch} className={styles.stretch}>
          <p className={styles.stretchName}>
            <strong>{stretch === 'held' ? say.heldFor : say.apartFor}</strong>
          </p>
          <div className={styles.ticks} aria-hidden="true">
            {scales[stretch].ticks(4).map((ms) => (
              <span key={ms} style={{ insetInlineStart: `${String(scales[stretch].percent(ms))}%` }}>
                {ms}
              </span>
            ))}
          </div>
          <div className={styles.strip}>
            {sorts.map((sort) => (
              <Marks
                key={sort}
                sort={sort}
                stretch={stretch}
                result={result}
                scale={scales[stretch]}
                state={shownState}
                turned={turned?.changed}
                trial={trial}
                onTrial={onTrial}
              />
            ))}
            <Handles
              settings={settings.filter((one) => one.stretch === stretch)}
              rowsAbove={sorts.length}
              stretch={stretch}
              scale={scales[stretch]}
              timing={timing}
              fixed={fixed}
              draft={draft}
              held={held}
              values={values}
              onHold={(name) => {
                setHeld(name)
                onChoose(name as SettingName)
              }}
              onDraft={setDraft}
              onCommit={(next) => {
                setDraft(undefined)
                onMove(next.setting as SettingName, next.valueMs)
              }}
            />
          </div>
        </div>
      ))}
      <p className={styles.turned} aria-live="polite">
        {turned &&
          (turned.changed.size === 0
            ? say.noChange
            : say.changesSides(String(turned.right), String(turned.wrong)))}
      </p>
    </section>
  )
}

function stateAt(along: { values: (number | string)[]; at: number[]; states: string[] }, value: number) {
  const index = along.values.indexOf(value)
  return index < 0 ? undefined : along.states[along.at[index] ?? -1]
}

/** Wide enough for every mark and boundary. */
function useScales(
  result: FitResult,
  settings: FitSetting[],
  timing: TimingValues,
): Record<Stretch, StretchScale> {
  return useMemo(() => {
    const of = (stretch: Stretch) => {
      const marks = result.trials.flatMap((one) => one[stretch])
      const values = settings
        .filter((one) => one.stretch === stretch)
        .map((one) => Number(timing[one.name] ?? one.value))
      // A mark that lies far beyond all others doesn't make the rest small.
      const sorted = [...marks].sort((one, other) => one - other)
      const most = sorted[Math.floor(sorted.length * 0.98)] ?? 0
      return stretchScale(Math.ceil((Math.max(LEAST_MS[stretch], most, ...values) * 1.12) / 100) * 100)
    }
    return { held: of('held'), apart: of('apart') }
  }, [result, settings, timing])
}

interface MarksProps {
  sort: Intended
  stretch: Stretch
  result: FitResult
  scale: StretchScale
  state: string
  turned: ReadonlySet<number> | undefined
  trial: number | undefined
  onTrial: (number: number) => void
}

/** The presses of one sort: one place to come to by Tab, arrow keys go from one to the next. */
function Marks({ sort, stretch, result, scale, state, turned, trial, onTrial }: MarksProps) {
  const row = useRef<HTMLDivElement>(null)
  const marks = result.trials.flatMap((one, number) =>
    one.intended === sort
      ? one[stretch].map((ms, index) => ({ number, ms, key: `${String(number)} ${String(index)}` }))
      : [],
  )
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
    if (!by) return
    const all = [...(row.current?.querySelectorAll('button') ?? [])]
    const at = all.indexOf(document.activeElement as HTMLButtonElement)
    all[(at + by + all.length) % all.length]?.focus()
    event.preventDefault()
  }
  const ordered = [...marks].sort((one, other) => one.ms - other.ms)
  return (
    <div
      className={styles.sort}
      style={{ height: ROW_PX }}
      ref={row}
      role="group"
      aria-label={INTENDED[sort]}
    >
      {stretch === 'held' && <span className={styles.sortName}>{INTENDED[sort]}</span>}
      {ordered.map(({ number, ms, key }, index) => (
        <button
          key={key}
          type="button"
          tabIndex={index === 0 ? 0 : -1}
          className={styles.mark}
          data-sort={sort}
          data-right={state[number] === 'r'}
          data-turned={turned?.has(number) ?? false}
          aria-pressed={trial === number}
          style={{
            insetInlineStart: `${String(scale.percent(ms))}%`,
            top: `${String(16 + ((index * 7) % 18))}px`,
          }}
          aria-label={say.mark(
            INTENDED[sort] ?? sort,
            String(Math.round(ms)),
            VERDICTS[state[number] ?? ''] ?? '',
          )}
          onKeyDown={onKeyDown}
          onClick={() => onTrial(number)}
        />
      ))}
    </div>
  )
}

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

function Handles(props: HandlesProps) {
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
              bottom: 0,
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
