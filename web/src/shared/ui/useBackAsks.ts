import { useEffect } from 'react'
import { useLocation } from 'react-router'

export type Ask = (go: () => void) => boolean

/** Which page of this tab's history an address is, as the router numbers them. */
const pageOf = (state: unknown): number | undefined => (state as { idx?: number } | null)?.idx

/** The sheet that has something unsaved in it, if there is one: there is one sheet at most. */
let asked: Ask | undefined
let here: number | undefined
let puttingBack = false

/** May one go on? Where something was typed and not saved, it is asked first, and gone on by what is answered. */
export const mayLeave: Ask = (go) => asked?.(go) ?? true

// From the beginning: the page's own listeners hear in the order in which they came, and the router is one of them.
window.addEventListener('popstate', (event) => {
  const to = pageOf(event.state)
  if (puttingBack) {
    puttingBack = false
    event.stopImmediatePropagation()
  } else if (to !== undefined && here !== undefined && to !== here) {
    const way = to - here
    if (mayLeave(() => window.history.go(way))) return
    event.stopImmediatePropagation()
    puttingBack = true
    window.history.go(-way)
  }
})

/**
 * The browser's own back and forward ask first, and so does closing the page. By the time anybody hears of it the
 * address is another already: it is put back, and gone to by what is answered.
 * ask – true: nothing would be lost; false: it was asked, and go is called where one leaves
 */
export function useBackAsks(ask: Ask) {
  const location = useLocation()
  useEffect(() => {
    here = pageOf(window.history.state)
  }, [location])
  useEffect(() => {
    asked = ask
    const onClosing = (event: BeforeUnloadEvent) => {
      if (!ask(() => undefined)) event.preventDefault()
    }
    window.addEventListener('beforeunload', onClosing)
    return () => {
      if (asked === ask) asked = undefined
      window.removeEventListener('beforeunload', onClosing)
    }
  }, [ask])
}
