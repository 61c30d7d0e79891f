import { useQueryClient } from '@tanstack/react-query'
import { useRef } from 'react'
import type { Button } from '../../shared/api'
import { heardOf, useSaving } from '../../shared/fitting'
import { useStable } from '../../shared/ui'

/**
 * While a button is looked for: what can only be one of the client's is known from then on, and with it all that this
 * browser hears of its device. Each source once: who takes it away again means it.
 */
export function useRecognised(
  buttons: Button[],
  bindings: ReadonlyMap<string, string>,
  bindOwn: (source: string, button: Button) => void,
) {
  const queries = useQueryClient()
  const { client, queue } = useSaving()
  const asked = useRef(new Set<string>())
  return useStable(async (source: string) => {
    if (asked.current.has(source) || bindings.has(source)) return
    asked.current.add(source)
    // Without an answer it is named by hand, or heard once more.
    const heard = await queries.fetchQuery(heardOf(client, queue.shown, source)).catch(() => undefined)
    if (!heard) asked.current.delete(source)
    const only = heard?.buttons.length === 1 ? heard.buttons[0] : undefined
    const button = buttons.find((one) => one.ref === only?.button.ref)
    if (button) bindOwn(source, button)
  })
}
