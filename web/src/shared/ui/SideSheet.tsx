import { Button } from 'antd'
import { useCallback, useEffect, useId, useRef, type ReactNode } from 'react'
import { useTakesFocus } from '../focus'
import styles from './sheet.module.css'
import { say } from './sentences'
import { useUnsaved } from './unsaved'

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

/** What was typed is not saved: it takes the focus, so that it is heard. */
export function Leaving({ onStay, onLeave }: { onStay: () => void; onLeave: () => void }) {
  const first = useRef<HTMLButtonElement>(null)
  useEffect(() => first.current?.focus(), [])
  return (
    <div className={styles.leaving} role="alertdialog" aria-label={say.notSavedYet}>
      <p>{say.notSavedYet}</p>
      <Button ref={first} onClick={onStay}>
        {say.goOnWriting}
      </Button>
      <Button onClick={onLeave}>{say.leaveIt}</Button>
    </div>
  )
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
  const sheet = useRef<HTMLElement>(null)
  const { leaving, ask, stay, leave } = useUnsaved(sheet)
  const close = useCallback(() => {
    if (ask(onClose)) onClose()
  }, [ask, onClose])
  useEscape(close)
  useTakesFocus(heading)
  return (
    <aside
      ref={sheet}
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
        <Button onClick={close}>{say.close}</Button>
      </div>
      {leaving && <Leaving onStay={stay} onLeave={leave} />}
      {children}
    </aside>
  )
}
