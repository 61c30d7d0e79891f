import type { Compared, Offered } from '../../shared/api'
import { GOT, NAMES, percent, say, valueWords } from './sentences'
import { Interval } from './Interval'
import { Scrolls } from './Scrolls'
import styles from './compared.module.css'

interface Props {
  rows: Compared[]
  offered: Offered[]
  /** Of the settings that were fitted. */
  names: string[]
}

/** Timings side by side: what share comes out as meant and how sure that is, how each gesture does, how long it waits.
    A share of presses that were looked at for it is marked, and promises nothing. */
export function ComparedTable({ rows, offered, names }: Props) {
  return (
    <Scrolls label={say.compared}>
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
            <tr key={row.name} data-kind={row.kind} data-from={row.from}>
              <th scope="row">
                {row.name}
                <small>{valuesOf(row, names)}</small>
              </th>
              <td>{row.from === 'unseen' ? <Interval row={row} /> : <small>{say.ofSeen}</small>}</td>
              <td className={styles.figure}>{say.percent(percent(row.right))}</td>
              {offered.map((one) => (
                <td key={one}>
                  {say.percent(
                    percent(row.by_gesture.find(({ intended }) => intended === one)?.right ?? null),
                  )}
                  <small>{row.waits.find(({ gesture }) => gesture === one)?.words}</small>
                  <Total row={row} of={one} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  )
}

/** What it is set to, of what was fitted; a filter that is off is not spoken of. */
function valuesOf(row: Compared, names: string[]): string {
  return names
    .filter((name) => NAMES[name] && row.timing[name])
    .map((name) => say.valueOf(NAMES[name] ?? name, valueWords(name, row.timing[name] ?? 0)))
    .join(', ')
}

/** From the beginning of the press until it acts: half of those that came out as meant took less. */
function Total({ row, of }: { row: Compared; of: Offered }) {
  const total = row.total_ms.find(({ intended }) => intended === of)
  return total ? <small>{say.actsAfter(String(Math.round(total.ms)))}</small> : null
}
