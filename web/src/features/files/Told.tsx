import type { TakenTrace } from '../../shared/api'
import { say } from './sentences'
import styles from './files.module.css'

/** What every press of a trace came to. */
export function Told({ taken }: { taken: TakenTrace }) {
  return (
    <div role="status">
      <p>
        <strong>{say.wouldDo}</strong>
      </p>
      <ol className={styles.list}>
        {taken.presses.map((one, index) => (
          <li key={index}>
            <span>
              <strong>{one.button}</strong> {one.gesture}, {say.at(String(one.at_ms))}
            </span>
            <span>{one.action ?? (one.phase === 'ignored' ? say.ignored : say.nothingDone)}</span>
          </li>
        ))}
      </ol>
      {taken.more && <p>{say.more}</p>}
    </div>
  )
}
