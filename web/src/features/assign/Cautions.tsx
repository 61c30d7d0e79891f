import type { Caution } from '../../shared/api'
import styles from './assign.module.css'
import { say } from './sentences'

/** What must be known before a gesture of a button gets something to do. */
export function Cautions({ cautions }: { cautions: Caution[] }) {
  if (cautions.length === 0) return null
  return (
    <ul className={styles.cautions} aria-label={say.beforeYouDo}>
      {cautions.map((caution) => (
        <li key={caution.what}>{caution.what}</li>
      ))}
    </ul>
  )
}
