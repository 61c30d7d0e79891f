import type { Compared, Offered } from '../../shared/api'
import { GOT, NAMES, percent, say, valueWords } from './sentences'
import styles from './tune.module.css'

interface Props {
  rows: Compared[]
  offered: Offered[]
  /** The name of the one that was fitted. */
  fitted: string
}

/** Timings side by side: what share comes out as meant and how sure that is, how each gesture does, how long it waits. */
export function ComparedTable({ rows, offered, fitted }: Props) {
  const clicks = offered.includes('click')
  return (
    <div className={styles.scrolls}>
      <table className={styles.compared}>
        <caption>{say.compared}</caption>
        <thead>
          <tr>
            <th scope="col">{say.timing}</th>
            <th scope="col" colSpan={2}>
              {say.asMeant}
            </th>
            {offered.map((one) => (
              <th key={one} scope="col">
                {GOT[one]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name} data-fitted={row.name === fitted}>
              <th scope="row">
                {row.name}
                <small>{valuesOf(row, clicks)}</small>
              </th>
              <td>
                <Interval row={row} />
              </td>
              <td className={styles.figure}>{say.percent(percent(row.right))}</td>
              {offered.map((one) => (
                <td key={one}>
                  {say.percent(
                    percent(row.by_gesture.find(({ intended }) => intended === one)?.right ?? null),
                  )}
                  <small>{row.waits.find(({ gesture }) => gesture === one)?.words}</small>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

const SHORT = ['long_press_ms', 'tap_gap_ms', 'bounce_guard_ms', 'gap_bridge_ms', 'brush_guard_ms'] as const

/** What it is set to; a filter that is off is not spoken of. */
function valuesOf(row: Compared, clicks: boolean): string {
  return SHORT.filter(
    (name) => row.timing[name] && !(clicks && (name === 'long_press_ms' || name === 'tap_gap_ms')),
  )
    .map((name) => `${NAMES[name] ?? name} ${valueWords(name, row.timing[name] ?? 0)}`)
    .join(', ')
}

/** The share as a line in its interval. */
function Interval({ row }: { row: Compared }) {
  const at = (share: number) => `${String(share * 100)}%`
  return (
    <span className={styles.interval} aria-hidden="true">
      <i style={{ insetInlineStart: at(row.low), width: at(row.high - row.low) }} />
      {row.right !== null && <b style={{ insetInlineStart: at(row.right) }} />}
    </span>
  )
}
