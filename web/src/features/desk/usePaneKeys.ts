import { useEffect } from 'react'

/** F6 goes round the panes, Shift+F6 back. */
export function usePaneKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'F6' || event.defaultPrevented) return
      event.preventDefault()
      const panes = [...document.querySelectorAll<HTMLElement>('[data-pane]')]
      const here = panes.findIndex((pane) => pane.contains(document.activeElement))
      const step = event.shiftKey ? -1 : 1
      const from = here === -1 && event.shiftKey ? 0 : here
      panes[(from + step + panes.length) % panes.length]?.focus()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}
