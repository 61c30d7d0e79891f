import type { FitSetting } from '../../shared/api'
import { linear } from '../../shared/scale'
import { NAMES, say, valueWords } from './sentences'
import styles from './picture.module.css'

const WIDTH = 260
const HEIGHT = 120
const GROUND = 96
/** So far from an edge a number has room. */
const WIDE = 16

/** At each value, how many ghosts are let through and how many wanted presses lost; the room around the fitted one. */
export function Sweep({ setting, value, count }: { setting: FitSetting; value: number; count: number }) {
  const { sweep, room } = setting
  const most = Math.max(1, ...sweep.map((one) => Math.max(one.ghosts, one.lost)))
  const last = Math.max(sweep.at(-1)?.value ?? 1, value)
  const x = linear([Math.min(sweep[0]?.value ?? 0, value), last], [6, WIDTH - 6])
  const y = linear([0, most], [GROUND, 10])
  const steps = (of: 'ghosts' | 'lost') =>
    // What holds at a value holds up to the next that was tried.
    sweep
      .map((one, index) =>
        index === 0
          ? `M${String(x(one.value))} ${String(y(one[of]))}`
          : `H${String(x(one.value))}V${String(y(one[of]))}`,
      )
      .join('')
  const slowest = Math.max(1, ...sweep.map((one) => one.total_ms ?? 0))
  const totals = sweep.filter((one) => one.total_ms !== null)
  const name = NAMES[setting.name] ?? setting.name
  return (
    <figure className={styles.sweep}>
      <svg viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`} role="img" aria-label={say.sweepName(name)}>
        {room && (
          <rect
            className={styles.room}
            x={x(room[0] ?? 0)}
            y="6"
            height={GROUND - 6}
            width={Math.max(2, x(room[1] ?? 0) - x(room[0] ?? 0))}
          />
        )}
        <path d={`M6 ${String(GROUND)}H${String(WIDTH - 6)}`} className={styles.ground} />
        <polyline
          className={styles.total}
          points={totals
            .map((one) => `${String(x(one.value))},${String(y((most * (one.total_ms ?? 0)) / slowest))}`)
            .join(' ')}
        />
        <path d={steps('ghosts')} className={styles.ghosts} />
        <path d={steps('lost')} className={styles.lost} />
        <path d={`M${String(x(value))} 4V${String(GROUND)}`} className={styles.here} />
        {x.ticks(4).map((tick) => (
          <text key={tick} x={x(tick)} y={HEIGHT - 8} textAnchor={anchor(x(tick))} className={styles.svgText}>
            {tick}
          </text>
        ))}
      </svg>
      <figcaption>
        <span data-line="ghosts">{say.ghosts}</span> <span data-line="lost">{say.lost}</span>{' '}
        <span data-line="total">{say.totalUpTo(String(Math.round(slowest)))}</span>
      </figcaption>
      <div className="seen-by-readers-only">
        <table>
          <caption>{say.sweepName(name)}</caption>
          <thead>
            <tr>
              <th scope="col">{name}</th>
              <th scope="col">{say.ghosts}</th>
              <th scope="col">{say.lost}</th>
              <th scope="col">{say.total}</th>
            </tr>
          </thead>
          <tbody>
            {sweep.map((one) => (
              <tr key={one.value}>
                <th scope="row">{valueWords(setting.name, one.value)}</th>
                <td>{`${String(one.ghosts)} / ${String(count)}`}</td>
                <td>{`${String(one.lost)} / ${String(count)}`}</td>
                <td>{one.total_ms === null ? '–' : valueWords('total_ms', one.total_ms)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </figure>
  )
}

/** At the edges a number is written inwards: half of it would be cut off. */
function anchor(at: number) {
  if (at < WIDE) return 'start'
  return at > WIDTH - WIDE ? 'end' : 'middle'
}
