import type { ReactNode } from 'react'
import styles from './ui.module.css'

/** Where there is nothing yet: says what to do next. */
export function Nothing({ children }: { children: ReactNode }) {
  return <p className={styles.nothing}>{children}</p>
}
