import type { Mode } from '../../shared/api'
import { GestureMark } from '../../shared/ui'
import { say } from './sentences'
import styles from './where.module.css'
import modesStyles from './modes.module.css'

/** One held, the other counted: as it looks under the hands. */
export function Counts({ counts }: { counts: Mode['counts'] }) {
  const held = [...new Set(counts.map((one) => one.held))]
  return held.map((name) => (
    <div key={name} className={styles.counts}>
      <span className={modesStyles.heldBar}>
        <GestureMark gesture="hold" /> {say.whileHeld(name)}
      </span>
      <ul>
        {counts
          .filter((one) => one.held === name)
          .map((one) => (
            <li key={`${one.counted} ${one.gesture}`}>
              {one.counted} <GestureMark gesture={one.gesture} />
              <span className="seen-by-readers-only"> {one.gesture_name}</span>
              <strong>{one.name}</strong>
            </li>
          ))}
      </ul>
    </div>
  ))
}
