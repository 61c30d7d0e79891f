import type { Compared, Offered } from '../../shared/api'
import { GestureMark } from '../../shared/ui'
import { Interval } from './Interval'
import { GOT, percent, say, SHORT } from './sentences'
import styles from './compared.module.css'

const MARKS = ['tap', 'double_tap', 'triple_tap', 'long_press'] as const
const markOf = (one: Offered) => MARKS.find((mark) => mark === one)

interface Props {
  rows: Compared[]
  offered: Offered[]
  /** Of the settings that were fitted. */
  names: string[]
}

/** One line a timing: today’s, found by hand, fitted, and moved; what share comes out as meant, and how soon each acts. */
export function ComparedLines({ rows, offered, names }: Props) {
  return (
    <table className={styles.lines}>
      <caption className="seen-by-readers-only">{say.compared}</caption>
      <thead>
        <tr>
          <th scope="col">{say.timing}</th>
          <th scope="col" colSpan={2}>
            {say.asMeant}
          </th>
          {offered.map((one) => {
            const mark = markOf(one)
            return (
              <th key={one} scope="col">
                {mark && <GestureMark gesture={mark} />} {GOT[one]}
              </th>
            )
          })}
        </tr>
      </thead>
      <tbody>
        {rows
          .filter(({ kind }) => kind !== 'unfitted')
          .map((row) => (
            <tr key={row.kind} data-kind={row.kind} data-from={row.from}>
              <th scope="row">
                {row.name} <small>{valuesOf(row, row === rows[0] ? undefined : rows[0], names)}</small>
              </th>
              <td>{row.from === 'unseen' ? <Interval row={row} /> : <small>{say.ofSeen}</small>}</td>
              <td className={styles.figure}>{say.percent(percent(row.right))}</td>
              {offered.map((one) => (
                <td key={one}>{row.waits.find(({ gesture }) => gesture === one)?.words}</td>
              ))}
            </tr>
          ))}
      </tbody>
    </table>
  )
}

/** What it is set to, of what was fitted: of today’s all that is not off, of the others what differs from it. */
const valuesOf = (row: Compared, today: Compared | undefined, names: string[]): string =>
  names
    .filter((name) => SHORT[name])
    .filter((name) => (today ? row.timing[name] !== today.timing[name] : row.timing[name]))
    .map((name) => say.valueOf(SHORT[name] ?? name, row.timing[name] ?? 0))
    .join(', ')
