import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import type { Desk } from '../api'

const WITH_THE_FITTING = [
  'desk',
  'lanes',
  'bench',
  'devices',
  'wants',
  'heard',
  'hands',
  'matches',
  'clients',
  'joins',
  'history',
  'arrangements',
  'settings',
  'actions',
  'combination',
  'where',
  'answers',
  'screens',
  'tuning',
  'fit',
]

/** What is asked anew when a fitting has changed. */
export const ofTheFitting = WITH_THE_FITTING

/**
 * Follows a client's live notices: who saved, who joined, what was heard elsewhere. Only while the
 * page is seen: a browser has six ways to a server, and a page that is hidden, or was left and is
 * kept for going back to, must not hold one. What it missed it asks for when it is seen again.
 */
export function useNews(client: string, onHeard: (stream: string) => void) {
  const queries = useQueryClient()
  const handler = useRef(onHeard)
  useEffect(() => {
    handler.current = onHeard
  })
  useEffect(() => {
    let source: EventSource | undefined
    const anew = (keys: string[]) =>
      keys.forEach((key) => void queries.invalidateQueries({ queryKey: [key] }))
    const shown = () => queries.getQueryData<Desk>(['desk', client])?.revision.number
    /** What was saved between asking and listening would be told to nobody: the desk alone is asked whether it was. */
    const lookOnce = async () => {
      const before = shown()
      await queries.refetchQueries({ queryKey: ['desk', client] })
      anew(['bench'])
      if (shown() !== before) anew(WITH_THE_FITTING)
    }
    const open = () => {
      let first = true
      source = new EventSource(`/api/clients/${client}/live`)
      source.addEventListener('heard', (event: MessageEvent<string>) =>
        handler.current((JSON.parse(event.data) as { stream: string }).stream),
      )
      // Said whenever it listens, and so after each break too: what was told meanwhile was missed.
      source.addEventListener('here', () => {
        if (first) void lookOnce()
        else anew(WITH_THE_FITTING)
        first = false
      })
      // One may not see it any more; whatever is asked next says why.
      source.addEventListener('ended', () => {
        close()
        anew(WITH_THE_FITTING)
      })
      source.addEventListener('revision', () => anew(WITH_THE_FITTING))
      source.addEventListener('joins', () => anew(['joins']))
      source.addEventListener('screen', () => anew(['screens']))
      source.addEventListener('sitting', () => anew(['tuning']))
      source.addEventListener('fit', () => anew(['fit', 'tuning']))
    }
    const close = () => {
      source?.close()
      source = undefined
    }
    const onSeen = () => {
      if (document.hidden) close()
      else if (!source) {
        open()
        anew(WITH_THE_FITTING)
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
  }, [client, queries])
}
