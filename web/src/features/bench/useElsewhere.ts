import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useRef, useState } from 'react'
import { askAnew, allOf, api, must, Refused, type BenchView, type Button } from '../../shared/api'
import { useAnnounce } from '../../shared/ui'
import type { Elsewhere } from './benchContext'
import { say } from './sentences'

const MOST = 4

/** Follows streams that other listeners write: asked anew whenever the news say so. */
export function useElsewhere(onView: (view: BenchView) => void) {
  const [elsewhere, setElsewhere] = useState<readonly Elsewhere[]>([])
  const asking = useRef(new Map<string, 'once' | 'again'>())

  const look = useCallback(
    async (stream: string): Promise<void> => {
      if (asking.current.has(stream)) {
        asking.current.set(stream, 'again')
        return
      }
      do {
        asking.current.set(stream, 'once')
        try {
          const view = await must(api.GET('/api/streams/{stream}', { params: { path: { stream } } }))
          onView(view)
          if (view.heard.length > 0)
            setElsewhere((all) => [view, ...all.filter((one) => one.stream !== stream)].slice(0, MOST))
        } catch (error) {
          if (!(error instanceof Refused)) throw error
          break
        }
      } while (asking.current.get(stream) === 'again')
      asking.current.delete(stream)
    },
    [onView],
  )
  return { elsewhere, look }
}

/** Says what a source of another listener stands for; presses already heard are decided anew. */
export function useBindElsewhere(client: string, onTrouble: (words: string | undefined) => void) {
  const queries = useQueryClient()
  const announce = useAnnounce()
  return useCallback(
    async (listener: string, source: string, button: Button) => {
      const params = { path: { listener } }
      try {
        const { bindings } = await must(api.GET('/api/listeners/{listener}', { params }))
        const others = bindings.filter((one) => one.heard !== source && one.button !== button.ref)
        const body = { bindings: [...others, { heard: source, button: button.ref }] }
        await must(api.PUT('/api/listeners/{listener}/bindings', { params, body }))
        await askAnew(queries, { queryKey: allOf('bench', client) })
        onTrouble(undefined)
        announce(say.standsForThere(button.name))
      } catch (error) {
        onTrouble(error instanceof Error ? error.message : say.bindingCouldNotSaved)
      }
    },
    [client, queries, announce, onTrouble],
  )
}
