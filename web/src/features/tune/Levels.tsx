import type { FitResult, Intended, TimingValues } from '../../shared/api'
import { INTENDED, say } from './sentences'
import picture from './picture.module.css'
import styles from './tune.module.css'

const WIDTH = 640
const HEIGHT = 150
const LEAST_MS = 800
const STILL: Intended[] = ['rest', 'carry']

interface Props {
  result: FitResult
  /** That is shown, and what each press comes to under it, a letter each. */
  timing: TimingValues
  state: string
}

/** Force buttons: every press as its level over time, with the lines at which it is pressed and let go. */
export function Levels({ result, timing, state }: Props) {
  const press = Number(timing['press_at'])
  const release = Number(timing['release_at'])
  const end = Math.max(LEAST_MS, ...result.trials.map((one) => one.levels.at(-1)?.at_ms ?? 0))
  const still = result.trials.filter((one) => STILL.includes(one.intended))
  const carried = [...state].filter((letter) => letter === 'u').length
  const y = (level: number) => HEIGHT - 4 - level * (HEIGHT - 10)
  return (
    <figure className={picture.levels}>
      <figcaption>
        <strong>{say.levelsTitle}</strong>{' '}
        <span className={styles.quiet}>
          {say.pressLine(String(press))}, {say.releaseLine(String(release))}
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
        role="img"
        aria-label={say.levelsOf(say.levelsTitle, say.pressLine(press), say.releaseLine(release))}
      >
        {result.trials.map((one, index) => (
          <polyline
            key={one.id || index}
            className={picture.level}
            data-still={STILL.includes(one.intended)}
            points={one.levels
              .map(({ at_ms, level }) => `${String((at_ms / end) * WIDTH)},${String(y(level))}`)
              .join(' ')}
          >
            <title>{INTENDED[one.intended]}</title>
          </polyline>
        ))}
        <path d={`M0 ${String(y(press))}H${String(WIDTH)}`} className={picture.pressLine} />
        <path d={`M0 ${String(y(release))}H${String(WIDTH)}`} className={picture.releaseLine} />
      </svg>
      {still.length > 0 && <p>{say.carriedUp(String(carried), String(still.length))}</p>}
    </figure>
  )
}
