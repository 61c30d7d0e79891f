import { cloneElement, useContext, useId, type ReactElement } from 'react'
import { RefusedContext } from './FormOf'
import styles from './ui.module.css'

/**
 * A named field with its hint and what is wrong with it, tied together for screen readers.
 * at – what it is a field of, as the server’s faults name it: the end of their pointer
 */
export function Field(props: {
  label: string
  hint?: string | undefined
  wrong?: string | undefined
  at?: string
  children: ReactElement<{ id?: string; 'aria-describedby'?: string; 'aria-invalid'?: boolean }>
}) {
  const { label, hint, at, children } = props
  const id = useId()
  const refused = useContext(RefusedContext)
  const faults = at ? (refused?.problem.faults ?? []).filter((one) => one.where.endsWith(`/${at}`)) : []
  const wrong = props.wrong ?? (faults.length > 0 ? faults.map((one) => one.message).join('; ') : undefined)
  const told = wrong ?? hint
  return (
    <div className={styles.field} data-wrong={wrong !== undefined}>
      <label htmlFor={id}>{label}</label>
      {cloneElement(children, {
        id,
        ...(told ? { 'aria-describedby': `${id}-told` } : {}),
        ...(wrong ? { 'aria-invalid': true } : {}),
      })}
      {told && (
        <p id={`${id}-told`} role={wrong ? 'alert' : undefined}>
          {told}
        </p>
      )}
    </div>
  )
}
