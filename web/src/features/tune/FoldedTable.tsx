import type { ReactNode } from 'react'
import { Folded } from './Folded'
import { Scrolls } from './Scrolls'
import styles from './compared.module.css'

/** A table that is there for whoever asks for it. */
export function FoldedTable({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Folded title={title}>
      <Scrolls label={title}>
        <table className={styles.compared}>{children}</table>
      </Scrolls>
    </Folded>
  )
}
