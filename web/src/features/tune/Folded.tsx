import type { ReactNode } from 'react'
import styles from './tune.module.css'

/** What is there for whoever asks for it. */
export function Folded({ title, children }: { title: string; children: ReactNode }) {
  return (
    <details className={styles.more}>
      <summary>{title}</summary>
      {children}
    </details>
  )
}
