import { Alert } from 'antd'
import type { Refused } from '../api'
import { say } from './sentences'

/** What the server refused, with every reason. */
export function Faults({ refused }: { refused: Refused | undefined }) {
  if (!refused) return null
  const faults = refused.problem.faults ?? []
  return (
    <Alert
      type="error"
      role="alert"
      title={refused.problem.detail}
      description={
        faults.length > 0 && (
          <>
            <ul>
              {faults.map((fault) => (
                <li key={fault.where + fault.message}>{fault.message}</li>
              ))}
            </ul>
            <details>
              <summary>{say.more}</summary>
              <ul>
                {faults.map((fault) => (
                  <li key={fault.where + fault.message}>
                    <code>{fault.where}</code>: {fault.message}
                  </li>
                ))}
              </ul>
            </details>
          </>
        )
      }
    />
  )
}
