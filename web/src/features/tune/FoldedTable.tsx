import type { ReactNode } from 'react'
import { Scrolls } from './Scrolls'
import styles from './tune.module.css'

/** A table that is there for whoever asks for it. */
export function FoldedTable({ title, children }: { title: string; children: ReactNode }) {
  return (
    <details className={styles.more}>
      <summary>{title}</summary>
      <Scrolls label={title}>
        <table className={styles.compared}>{children}</table>
      </Scrolls>
    </details>
  )
}
