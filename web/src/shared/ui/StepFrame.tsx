import { useId, type ReactNode } from 'react'
import styles from './step.module.css'

/** A step of the work: its heading, how it stands, and what is in it. */
export function StepFrame({
  title,
  stands,
  children,
}: {
  title: string
  stands?: string | undefined
  children: ReactNode
}) {
  const id = useId()
  return (
    <section aria-labelledby={id} className={styles.step}>
      <div className={styles.head}>
        <h2 id={id}>{title}</h2>
        {stands !== undefined && <p role="status">{stands}</p>}
      </div>
      {children}
    </section>
  )
}
