import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'

const WITH_THE_FITTING = [
  'desk',
  'lanes',
  'bench',
  'devices',
  'wants',
  'heard',
  'matches',
  'clients',
  'joins',
  'history',
  'arrangements',
  'settings',
]

/** What is asked anew when a fitting has changed. */
export const ofTheFitting = WITH_THE_FITTING

/** Follows a client's live notices: who saved, who joined, what was heard elsewhere. */
export function useNews(client: string, onHeard: (stream: string) => void) {
  const queries = useQueryClient()
  const handler = useRef(onHeard)
  useEffect(() => {
    handler.current = onHeard
  })
  useEffect(() => {
    const source = new EventSource(`/api/clients/${client}/live`)
    const anew = (keys: string[]) =>
      keys.forEach((key) => void queries.invalidateQueries({ queryKey: [key] }))
    source.addEventListener('heard', (event: MessageEvent<string>) =>
      handler.current((JSON.parse(event.data) as { stream: string }).stream),
    )
    source.addEventListener('revision', () => anew(WITH_THE_FITTING))
    source.addEventListener('joins', () => anew(['joins']))
    return () => source.close()
  }, [client, queries])
}
