import { useRef, type KeyboardEvent } from 'react'
import type { FitResult, Intended, Stretch } from '../../shared/api'
import type { StretchScale } from '../lanes'
import { ROW_PX } from './rows'
import { INTENDED, say, VERDICTS } from './sentences'
import styles from './tune.module.css'

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
export function TrialMarks({ sort, stretch, result, scale, state, turned, trial, onTrial }: MarksProps) {
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
