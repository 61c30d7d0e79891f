import type { ReactNode } from 'react'
import styles from './compared.module.css'

/** What may be wider than its place: it is scrolled, by keys too. */
export function Scrolls({ label, children }: { label: string; children: ReactNode }) {
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <section className={styles.scrolls} aria-label={label} tabIndex={0}>
      {children}
    </section>
  )
}
