import { Waiting } from './shared/plain'
import styles from './app.module.css'
import { say } from './sentences'

/** While a page is on its way. */
export function Loading() {
  return (
    <main className={styles.alone} aria-busy="true">
      <h1>{say.kippen}</h1>
      <Waiting />
    </main>
  )
}
