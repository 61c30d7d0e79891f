import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api, keys, must, type Gesture, type ProposalView } from '../../shared/api'
import { useRevision } from '../../shared/fitting'
import { useTask } from '../../shared/ui'

/** The map and the day; without – devices taken for switched off; against – another revision’s day. */
export function useReach(client: string, without: string[], against: number | undefined) {
  return useQuery({
    queryKey: keys.reach(client, useRevision(), without, against),
    placeholderData: (before) => before,
    queryFn: () =>
      must(
        api.GET('/api/clients/{client}/reach', {
          params: {
            path: { client },
            query: {
              ...(without.length > 0 ? { without: without.join(',') } : {}),
              ...(against === undefined ? {} : { against }),
            },
          },
        }),
      ),
  })
}

/** The newest proposal. */
export function useProposal(client: string) {
  return useQuery({
    queryKey: keys.proposal(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: () => must(api.GET('/api/clients/{client}/proposals', { params: { path: { client } } })),
  })
}

export interface Rules {
  pinned: string[]
  buttons: string[]
  gestures: Gesture[]
}

/** Asks for one, or says that nobody wants it any more. */
export function useAsking(client: string) {
  const queries = useQueryClient()
  const key = keys.proposal(client, useRevision())
  return useTask(
    useCallback(
      async (asked: Rules | { end: string }) => {
        const view: ProposalView =
          'end' in asked
            ? await must(
                api.POST('/api/proposals/{proposal}/end', { params: { path: { proposal: asked.end } } }),
              )
            : await must(
                api.POST('/api/clients/{client}/proposals', { params: { path: { client } }, body: asked }),
              )
        queries.setQueryData(key, view)
      },
      [client, queries, key],
    ),
  )
}
