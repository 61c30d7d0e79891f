import { useCallback, useEffect, useRef, useState, type RefObject } from 'react'
import { useNavigate } from 'react-router'
import { useBackAsks, type Ask } from './useBackAsks'

/** What stands in the fields of a form, as one text. */
function written(form: HTMLFormElement): string {
  const fields = form.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>(
    'input:not([role=combobox]), textarea',
  )
  const values = [...fields].map((one) =>
    one instanceof HTMLInputElement && ['checkbox', 'radio'].includes(one.type)
      ? String(one.checked)
      : one.value,
  )
  const chosen = [...form.querySelectorAll('.ant-select-selection-item')].map((one) => one.textContent)
  return JSON.stringify([values, chosen])
}

const formOf = (event: Event) => (event.target instanceof Element ? event.target.closest('form') : null)

/**
 * Asks before a part of the page with something typed in it is left.
 * leaving – what waits for the answer
 */
export function useUnsaved(part: RefObject<HTMLElement | null>) {
  const navigate = useNavigate()
  const [leaving, setLeaving] = useState<{ go: () => void }>()
  // How each form was before anybody did anything in it; what was sent is as good as saved, until it is written on.
  const before = useRef(new Map<HTMLFormElement, { text: string; sent: boolean }>())
  const ask = useCallback<Ask>((go) => {
    const changed = [...before.current].some(
      ([form, { text, sent }]) => form.isConnected && !sent && written(form) !== text,
    )
    if (changed) setLeaving({ go })
    return !changed
  }, [])
  useBackAsks(ask)
  useEffect(() => {
    const { current } = part
    if (!current) return
    const forms = before.current
    const begin = (event: Event) => {
      const form = formOf(event)
      if (form && !forms.has(form)) forms.set(form, { text: written(form), sent: false })
    }
    const isSent = (sent: boolean) => (event: Event) => {
      const known = forms.get(formOf(event) as HTMLFormElement)
      if (known) known.sent = sent
    }
    // A link to elsewhere on these pages.
    const onLink = (event: MouseEvent) => {
      const link = event.target instanceof Element ? event.target.closest('a') : null
      if (!link || link.origin !== window.location.origin || link.hasAttribute('download')) return
      const to = link.pathname + link.search
      if (!ask(() => void navigate(to))) {
        event.preventDefault()
        event.stopPropagation()
      }
    }
    const onSubmit = isSent(true)
    const onInput = isSent(false)
    const first = ['pointerdown', 'keydown', 'focusin']
    for (const event of first) current.addEventListener(event, begin, true)
    current.addEventListener('submit', onSubmit, true)
    current.addEventListener('input', onInput, true)
    document.addEventListener('click', onLink, true)
    return () => {
      for (const event of first) current.removeEventListener(event, begin, true)
      current.removeEventListener('submit', onSubmit, true)
      current.removeEventListener('input', onInput, true)
      document.removeEventListener('click', onLink, true)
      forms.clear()
    }
  }, [part, ask, navigate])
  const stay = useCallback(() => setLeaving(undefined), [])
  const leave = useCallback(() => {
    before.current.clear()
    leaving?.go()
  }, [leaving])
  return { leaving, ask, stay, leave }
}
