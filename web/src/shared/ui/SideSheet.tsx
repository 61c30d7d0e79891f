import { Button } from 'antd'
import { useEffect, useId, useRef, type ReactNode } from 'react'
import styles from './ui.module.css'
import { say } from './sentences'

/** Esc closes the sheet, wherever the focus is, unless something nearer took it. */
export function useEscape(onEscape: () => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented) onEscape()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [onEscape])
}

/** Details of a chosen thing, beside what they are about. Takes the focus, and gives it back. */
export function SideSheet(props: {
  title: string
  /** Its parts stand closer. */
  dense?: boolean
  onClose: () => void
  children: ReactNode
}) {
  const { title, dense = false, onClose, children } = props
  const id = useId()
  const heading = useRef<HTMLHeadingElement>(null)
  useEscape(onClose)
  useEffect(() => {
    const before = document.activeElement
    heading.current?.focus()
    return () => {
      // Unless something that must be heeded at once has taken it meanwhile.
      const free = document.activeElement === document.body
      if (free && before instanceof HTMLElement && before.isConnected) before.focus()
    }
  }, [])
  return (
    <aside
      className={styles.sheet}
      data-dense={dense}
      data-pane
      data-takes-escape
      tabIndex={-1}
      aria-labelledby={id}
    >
      <div className={styles.sheetHead}>
        <h2 id={id} ref={heading} tabIndex={-1}>
          {title}
        </h2>
        <Button onClick={onClose}>{say.close}</Button>
      </div>
      {children}
    </aside>
  )
}
