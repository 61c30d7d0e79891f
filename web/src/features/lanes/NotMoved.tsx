import styles from './lanes.module.css'
import { say } from './sentences'

/** Why a time can't be moved just now; typing it needs no answer first. */
export function NotMoved({ error }: { error: Error | null }) {
  if (!error) return null
  return (
    <p role="alert" className={styles.limits}>
      {say.cantMovedNowTime(error.message)}
    </p>
  )
}
