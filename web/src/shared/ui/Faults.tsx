import type { Refused } from '../api'
import { say } from './sentences'
import styles from './ui.module.css'

/** What the server refused, with every reason. */
export function Faults({ refused }: { refused: Refused | undefined }) {
  if (!refused) return null
  const faults = refused.problem.faults ?? []
  // In a file one looks it up; what a form sent is for machines alone.
  const inFile = faults
    .map((fault) => ({ ...fault, where: fault.where.replace(/^\/change\/document(?=\/)/, '') }))
    .filter((fault) => !fault.where.startsWith('/change'))
  return (
    <div role="alert" className={styles.faults}>
      <p>
        <strong>{refused.problem.detail}</strong>
      </p>
      {faults.length > 0 && (
        <ul>
          {faults.map((fault) => (
            <li key={fault.where + fault.message}>{fault.message}</li>
          ))}
        </ul>
      )}
      {inFile.length > 0 && (
        <details>
          <summary>{say.more}</summary>
          <ul>
            {inFile.map((fault) => (
              <li key={fault.where + fault.message}>
                <code>{fault.where}</code>: {fault.message}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  )
}
