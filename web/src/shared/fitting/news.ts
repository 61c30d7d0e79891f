import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { askAnew, allOf, keys, type Asked, type Desk } from '../api'
import { useSaving } from './saving'

/** What is asked anew, by the notice that tells of it: of the client, in whichever revision. */
export type NoticesOf = Readonly<Record<string, readonly Asked[]>>

/**
 * Follows a client's live notices: who saved, who joined, what was heard elsewhere. Only while the
 * page is seen: a browser has six ways to a server, and a page that is hidden, or was left and is
 * kept for going back to, must not hold one. What it missed it asks for when it is seen again.
 */
export function useNews(client: string, notices: NoticesOf, onHeard: (stream: string) => void) {
  const queries = useQueryClient()
  const { queue } = useSaving()
  const handler = useRef(onHeard)
  useEffect(() => {
    handler.current = onHeard
  })
  useEffect(() => {
    let source: EventSource | undefined
    const anew = (names: readonly Asked[]) =>
      names.forEach((name) => void askAnew(queries, { queryKey: allOf(name, client) }))
    const desk = () => askAnew(queries, { queryKey: keys.desk(client) })
    /** All that a notice may have told. */
    const all = () => {
      void desk()
      anew(['bench', ...new Set(Object.values(notices).flat())])
    }
    // What this page saves itself it shows anyway; the notice may be here before the answer.
    const saved = async (number: number) => {
      await queue.idle()
      const shown = queries.getQueryData<Desk>(keys.desk(client))?.revision.number ?? 0
      if (number > shown) await desk()
    }
    const open = () => {
      let first = true
      source = new EventSource(`/api/clients/${client}/live`)
      source.addEventListener('heard', (event: MessageEvent<string>) =>
        handler.current((JSON.parse(event.data) as { stream: string }).stream),
      )
      // Said whenever it listens, and so after each break too: what was told meanwhile was missed. At first that can
      // only be what was saved or heard between asking and listening.
      source.addEventListener('here', (event: MessageEvent<string>) => {
        if (first) {
          const { number = Infinity } = JSON.parse(event.data) as { number?: number }
          void saved(number)
          anew(['bench'])
        } else all()
        first = false
      })
      // One may not see it any more; whatever is asked next says why.
      source.addEventListener('ended', () => {
        close()
        all()
      })
      source.addEventListener('revision', (event: MessageEvent<string>) => {
        void saved((JSON.parse(event.data) as { number: number }).number)
      })
      for (const notice of ['confirmation', 'handed', 'works'])
        source.addEventListener(notice, () => void desk())
      for (const [notice, names] of Object.entries(notices))
        source.addEventListener(notice, () => anew(names))
    }
    const close = () => {
      source?.close()
      source = undefined
    }
    const onSeen = () => {
      if (document.hidden) close()
      else if (!source) {
        open()
        all()
      }
    }
    if (!document.hidden) open()
    document.addEventListener('visibilitychange', onSeen)
    window.addEventListener('pagehide', close)
    window.addEventListener('pageshow', onSeen)
    return () => {
      document.removeEventListener('visibilitychange', onSeen)
      window.removeEventListener('pagehide', close)
      window.removeEventListener('pageshow', onSeen)
      close()
    }
  }, [client, queries, queue, notices])
}
