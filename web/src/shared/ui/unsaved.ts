import { useCallback, useEffect, useRef, useState, type RefObject } from 'react'

/** What stands in the fields of all forms of a part of the page, as one text. */
function written(part: HTMLElement): string {
  const fields = part.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>(
    'form input:not([role=combobox]), form textarea',
  )
  const values = [...fields].map((one) =>
    one instanceof HTMLInputElement && ['checkbox', 'radio'].includes(one.type)
      ? String(one.checked)
      : one.value,
  )
  const chosen = [...part.querySelectorAll('form .ant-select-selection-item')].map((one) => one.textContent)
  return JSON.stringify([values, chosen])
}

type Ask = (go: () => void) => boolean
/** The sheet that has something unsaved in it, if there is one: there is one sheet at most. */
let asking: Ask | undefined

/** May one go on? Where something was typed and not saved, it is asked first, and gone on by what is answered. */
export const mayLeave = (go: () => void): boolean => asking?.(go) ?? true

/**
 * Asks before a part of the page with something typed in it is left.
 * leaving – what waits for the answer
 */
export function useUnsaved(part: RefObject<HTMLElement | null>) {
  const [leaving, setLeaving] = useState<{ go: () => void }>()
  const before = useRef<string>(undefined)
  // What was sent is somebody else’s to answer for, until it is typed on.
  const sent = useRef(false)
  const ask = useCallback<Ask>(
    (go) => {
      const { current } = part
      const typed =
        current && before.current !== undefined && !sent.current && written(current) !== before.current
      if (!typed) return true
      setLeaving({ go })
      return false
    },
    [part],
  )
  useEffect(() => {
    const { current } = part
    if (!current) return
    // Before anybody does anything in it.
    const begin = () => {
      before.current ??= written(current)
    }
    const onInput = () => (sent.current = false)
    const onSubmit = () => (sent.current = true)
    const first = ['pointerdown', 'keydown', 'focusin']
    for (const event of first) current.addEventListener(event, begin, true)
    current.addEventListener('input', onInput, true)
    current.addEventListener('submit', onSubmit, true)
    asking = ask
    return () => {
      for (const event of first) current.removeEventListener(event, begin, true)
      current.removeEventListener('input', onInput, true)
      current.removeEventListener('submit', onSubmit, true)
      if (asking === ask) asking = undefined
    }
  }, [part, ask])
  const stay = useCallback(() => setLeaving(undefined), [])
  const leave = useCallback(() => {
    sent.current = true
    leaving?.go()
  }, [leaving])
  return { leaving, ask, stay, leave }
}
