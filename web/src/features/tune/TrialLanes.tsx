import { useMemo, useState } from 'react'
import type {
  Fit,
  FitResult,
  FitSetting,
  Intended,
  Region,
  SettingName,
  Stretch,
  TimingValues,
} from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { StretchRegions, stretchScale, type BoundaryDraft, type StretchScale } from '../lanes'
import { sides } from './sides'
import { useFitAlong } from './queries'
import { INTENDED, say } from './sentences'
import { ROW_PX } from './rows'
import { TodayLines } from './TodayLines'
import { TrialHandles } from './TrialHandles'
import { TrialMarks } from './TrialMarks'
import { useMarks } from './useMarks'
import styles from './picture.module.css'
import marksStyles from './marks.module.css'

const ORDER = Object.keys(INTENDED) as Intended[]
const STRETCHES: Stretch[] = ['held', 'apart']
const LEAST_MS: Record<Stretch, number> = { held: 1000, apart: 500 }
interface Props {
  fit: Fit
  result: FitResult
  /** That is shown: fitted, or moved. */
  timing: TimingValues
  /** What a press becomes under it, by how long it is held and what follows. */
  regions: Region[]
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
  const { fit, result, timing, regions, state, moved, onChoose, onMove, trial, onTrial } = props
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
  const { root, onFocus, onKeyDown } = useMarks(sorts.length)
  const values = along?.values.filter((value) => typeof value === 'number')
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- the keys of the marks in it
    <section
      ref={root}
      aria-label={say.lanesTitle}
      className={styles.lanes}
      onKeyDown={onKeyDown}
      onFocus={onFocus}
    >
      {STRETCHES.map((stretch) => (
        <div key={stretch} className={styles.stretch}>
          <p className={styles.stretchName}>
            <strong>{stretch === 'held' ? say.heldFor : say.apartFor}</strong>
          </p>
          <div className={marksStyles.ticks} aria-hidden="true">
            {scales[stretch].ticks(4).map((ms) => (
              <span key={ms} style={{ insetInlineStart: `${String(scales[stretch].percent(ms))}%` }}>
                {ms}
              </span>
            ))}
          </div>
          <div className={marksStyles.strip}>
            <StretchRegions
              scale={scales[stretch]}
              regions={regions.filter((one) => one.stretch === stretch)}
              height={sorts.length * ROW_PX}
            />
            <TodayLines
              settings={settings.filter((one) => one.stretch === stretch)}
              scale={scales[stretch]}
              timing={timing}
              height={sorts.length * ROW_PX}
            />
            {sorts.map((sort) => (
              <TrialMarks
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
            <TrialHandles
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
