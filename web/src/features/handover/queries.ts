import { useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { allOf, api, askAnew, keys, must, type Handovers } from '../../shared/api'
import { useRevision } from '../../shared/fitting'
import { useTask } from '../../shared/ui'

export type What = 'put' | 'back' | 'empty'
export interface Seen {
  device: string
  seen: string | null
}

/** What is asked of the devices; each answers with how it is then. */
export function useAsking(client: string) {
  const queries = useQueryClient()
  const revision = useRevision()
  return useTask(
    useCallback(
      async (
        asked:
          | { what: What; devices: Seen[] }
          | { stop: string }
          | { question: string }
          | { reach: boolean; device: string }
          | { byHand: boolean; device: string },
      ) => {
        const params = { path: { client } }
        const ask = (): Promise<Handovers> => {
          if ('stop' in asked)
            return must(
              api.POST('/api/clients/{client}/handovers/stop', { params, body: { device: asked.stop } }),
            )
          if ('question' in asked)
            return must(
              api.POST('/api/clients/{client}/handovers/question', {
                params,
                body: { device: asked.question },
              }),
            )
          if ('byHand' in asked)
            return must(
              api.PUT('/api/clients/{client}/by-hand', {
                params,
                body: { device: asked.device, by_hand: asked.byHand },
              }),
            )
          if ('reach' in asked)
            return must(api.POST('/api/clients/{client}/handovers/reach', { params, body: asked }))
          return must(api.POST('/api/clients/{client}/handovers', { params, body: { ...asked, revision } }))
        }
        try {
          queries.setQueryData(keys.handovers(client, revision), await ask())
        } catch (error) {
          // What is shown is not what is there.
          void askAnew(queries, { queryKey: allOf('handovers', client) })
          throw error
        } finally {
          void askAnew(queries, { queryKey: keys.desk(client) })
        }
      },
      [client, queries, revision],
    ),
  )
}
