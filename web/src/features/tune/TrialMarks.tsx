import type { FitResult, Intended, Stretch } from '../../shared/api'
import type { StretchScale } from '../lanes'
import { ROW_PX } from './rows'
import { INTENDED, say, VERDICTS } from './sentences'
import styles from './marks.module.css'

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

/** The presses of one sort, each where it lies; see useMarks for the way to them by keys. */
export function TrialMarks({ sort, stretch, result, scale, state, turned, trial, onTrial }: MarksProps) {
  const marks = result.trials.flatMap((one, number) =>
    one.intended === sort
      ? one[stretch].map((ms, index) => ({ number, ms, key: `${String(number)} ${String(index)}` }))
      : [],
  )
  const ordered = [...marks].sort((one, other) => one.ms - other.ms)
  return (
    <div className={styles.sort} style={{ height: ROW_PX }} role="group" aria-label={INTENDED[sort]}>
      {stretch === 'held' && <span className={styles.sortName}>{INTENDED[sort]}</span>}
      {ordered.map(({ number, ms, key }, index) => (
        <button
          key={key}
          type="button"
          tabIndex={-1}
          data-mark
          className={styles.mark}
          data-sort={sort}
          data-right={state[number] === 'r'}
          data-turned={turned?.has(number) ?? false}
          aria-pressed={trial === number}
          style={{
            insetInlineStart: `${String(scale.percent(ms))}%`,
            top: `${String(3 + ((index * 5) % 11))}px`,
          }}
          aria-label={say.mark(
            INTENDED[sort] ?? sort,
            String(Math.round(ms)),
            VERDICTS[state[number] ?? ''] ?? '',
          )}
          onClick={() => onTrial(number)}
        />
      ))}
    </div>
  )
}
