import { useEffect } from 'react'
import { useChange, useHistory } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'

const TYPING = 'input:not([type=radio]):not([type=checkbox]), textarea, [contenteditable=true]'

/** Undo and redo of everything that is saved: by their buttons, Ctrl+Z and Ctrl+Shift+Z; undefined where there is nothing. */
export function useSteps(client: string) {
  const history = useHistory(client).data?.pages[0]
  const { change, busy } = useChange()
  const mayChange = useMayChange()
  const back = history?.undo
  const again = history?.redo
  const undo =
    mayChange && back && !busy
      ? () => void change({ step: 'undo' }, `Revision ${String(back)} is taken back.`)
      : undefined
  const redo =
    mayChange && again && !busy
      ? () => void change({ step: 'redo' }, `Revision ${String(again)} holds again.`)
      : undefined

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!event.ctrlKey || event.altKey || event.key.toLowerCase() !== 'z' || event.defaultPrevented) return
      // What is being typed has an undo of its own.
      if (event.target instanceof Element && event.target.matches(TYPING)) return
      event.preventDefault()
      ;(event.shiftKey ? redo : undo)?.()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
  return { undo, redo }
}
