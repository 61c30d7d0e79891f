import type { ButtonHTMLAttributes } from 'react'
import styles from './plain.module.css'

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** What is mostly wanted here. */
  first?: boolean
  busy?: boolean
}

/** A button; while it is at work it can’t be pressed again. */
export function PlainButton({ first = false, busy = false, disabled, type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={styles.button}
      data-first={first}
      disabled={disabled ?? busy}
      aria-busy={busy || undefined}
      {...rest}
    />
  )
}
