import type { Handovers } from '../../shared/api'
import { say } from './sentences'
import { when } from '../../shared/handed'
import styles from './handover.module.css'

type Row = Handovers['record'][number]

const cameOf = ({ state, error, done, of }: Row) =>
  [say.ended[state], error, state === 'away' && done > 0 && say.brokenShort(String(done), String(of))]
    .filter(Boolean)
    .join(': ')

const whatOf = ({ what, revision }: Row) =>
  [say.did[what], revision !== null && say.revision(String(revision))].filter(Boolean).join(', ')

/** What was handed over, the newest first. */
export function Record({ record }: { record: Row[] }) {
  return (
    <details className={styles.record}>
      <summary>{say.record}</summary>
      {record.length === 0 && <p>{say.noRecord}</p>}
      {record.length > 0 && (
        <table>
          <thead>
            <tr>
              <th scope="col">{say.device}</th>
              <th scope="col">{say.what}</th>
              <th scope="col">{say.came}</th>
              <th scope="col">{say.when}</th>
              <th scope="col">{say.who}</th>
            </tr>
          </thead>
          <tbody>
            {record.map((row) => (
              <tr key={`${row.device} ${row.at} ${row.what}`}>
                <th scope="row">{row.name}</th>
                <td>{whatOf(row)}</td>
                <td>{cameOf(row)}</td>
                <td>{when(row.at)}</td>
                <td>{row.by}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </details>
  )
}
