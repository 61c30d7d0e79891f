import styles from './lanes.module.css'

/** Why a time can't be moved just now; typing it needs no answer first. */
export function NotMoved({ error }: { error: Error | null }) {
  if (!error) return null
  return (
    <p role="alert" className={styles.limits}>
      It can’t be moved now: {error.message} A time can be typed.
    </p>
  )
}
