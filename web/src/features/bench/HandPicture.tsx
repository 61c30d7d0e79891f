import type { HandPicture as Picture } from '../../shared/api'
import { say, WANTED } from './sentences'
import handStyles from './hand.module.css'
import tileStyles from './tile.module.css'

const WIDTH = 300
const LEAST_MS = 1000

/** What a hand does where it is asked for each, drawn to one scale. */
export function HandPicture({ picture }: { picture: Picture | undefined }) {
  if (!picture) return null
  const whole = Math.max(LEAST_MS, picture.longest_ms)
  const x = (ms: number) => (ms / whole) * WIDTH
  return (
    <ol className={handStyles.handPicture} aria-label={say.whatItDoes}>
      {picture.shown.map(({ asked, touches }, index) => (
        <li key={index}>
          <span>{WANTED[asked]}</span>
          <svg
            viewBox={`0 0 ${String(WIDTH)} 20`}
            height="20"
            preserveAspectRatio="none"
            role="img"
            aria-label={
              touches.length === 0
                ? say.nothingComes
                : touches.map(([from = 0, to = 0]) => say.down_ms(String(to - from))).join(', ')
            }
          >
            <path d={`M0 19H${String(WIDTH)}`} className={tileStyles.ground} />
            {touches.map(([from = 0, to = 0]) => (
              <rect
                key={from}
                className={tileStyles.closed}
                x={x(from)}
                y="3"
                height="16"
                width={Math.max(1.5, x(to) - x(from))}
              />
            ))}
          </svg>
        </li>
      ))}
    </ol>
  )
}
