import styles from './plain.module.css'
import { say } from './sentences'

/** Something is on its way. */
export function Waiting() {
  return <div role="img" aria-label={say.waiting} className={styles.waiting} />
}
