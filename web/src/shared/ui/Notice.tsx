import type { ReactNode } from 'react'
import styles from './menu.module.css'

interface Props {
  /** How bad it is: by its sign and its edge. */
  type: 'info' | 'warning' | 'error'
  title: string
  description?: ReactNode
  /** What can be done about it. */
  action?: ReactNode
  role?: 'alert' | 'status'
  className?: string | undefined
}

const SIGNS: Record<Props['type'], string> = { info: 'i', warning: '!', error: '✕' }

/** Something that must be known, with what can be done about it. */
export function Notice({ type, title, description, action, role = 'alert', className }: Props) {
  return (
    <div role={role} className={[styles.notice, className].filter(Boolean).join(' ')} data-type={type}>
      <span aria-hidden="true">{SIGNS[type]}</span>
      <div>
        <p>{title}</p>
        {description}
      </div>
      {action}
    </div>
  )
}
