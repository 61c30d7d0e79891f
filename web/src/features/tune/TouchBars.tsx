import { say } from './sentences'
import styles from './picture.module.css'

const LEAST_MS = 1200
const WIDTH = 240

/** Where a button was closed, to scale: bars, and the gaps between them. */
export function TouchBars({ held, apart }: { held: number[]; apart: number[] }) {
  const whole = [...held, ...apart].reduce((sum, ms) => sum + ms, 0)
  const scale = WIDTH / Math.max(LEAST_MS, whole)
  const bars = held.map((ms, index) => ({
    from: [...held.slice(0, index), ...apart.slice(0, index)].reduce((sum, one) => sum + one, 0),
    ms,
  }))
  const words = held.length > 0 ? say.touches(held.map(Math.round).join(', ')) : say.nothingHeard
  return (
    <span className={styles.touches}>
      <svg viewBox={`0 0 ${String(WIDTH)} 22`} width={WIDTH} height="22" aria-hidden="true">
        <path d={`M0 19H${String(WIDTH)}`} className={styles.ground} />
        {bars.map(({ from, ms }, index) => (
          <rect
            key={index}
            x={from * scale}
            y="4"
            height="15"
            width={Math.max(2, ms * scale)}
            className={styles.closed}
          />
        ))}
      </svg>
      <small>{words}</small>
    </span>
  )
}
