import { useId, type ReactElement, cloneElement } from 'react'
import styles from './ui.module.css'

/** A named field with its hint and what is wrong with it, tied together for screen readers. */
export function Field(props: {
  label: string
  hint?: string | undefined
  wrong?: string | undefined
  children: ReactElement<{ id?: string; 'aria-describedby'?: string; 'aria-invalid'?: boolean }>
}) {
  const { label, hint, wrong, children } = props
  const id = useId()
  const told = wrong ?? hint
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      {cloneElement(children, {
        id,
        ...(told ? { 'aria-describedby': `${id}-told` } : {}),
        ...(wrong ? { 'aria-invalid': true } : {}),
      })}
      {told && (
        <small id={`${id}-told`} className={wrong ? styles.wrong : undefined}>
          {told}
        </small>
      )}
    </div>
  )
}
