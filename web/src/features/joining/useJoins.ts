import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api, askAnew, keys, must } from '../../shared/api'
import { useTask } from '../../shared/ui'

/** Who has joined by a code and which codes wait; a new code, and an end of one. */
export function useJoins(client: string) {
  const queries = useQueryClient()
  const found = useQuery({
    queryKey: keys.joins(client),
    queryFn: () => must(api.GET('/api/clients/{client}/joins', { params: { path: { client } } })),
  })
  const refresh = useCallback(() => askAnew(queries, { queryKey: keys.joins(client) }), [queries, client])
  const make = useTask(
    useCallback(
      async (host: string, lists?: string) => {
        const body = lists === undefined ? { host } : { host, lists }
        await must(api.POST('/api/clients/{client}/joins', { params: { path: { client } }, body }))
        await refresh()
      },
      [client, refresh],
    ),
  )
  const end = useTask(
    useCallback(
      async (id: string) => {
        await must(api.DELETE('/api/joins/{join}', { params: { path: { join: id } } }))
        await refresh()
      },
      [refresh],
    ),
  )
  const address = found.data?.addresses[0] ?? `${window.location.origin}/join`
  return { joins: found.data?.joins ?? [], address, make, end, refresh }
}
