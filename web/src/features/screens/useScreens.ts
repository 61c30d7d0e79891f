import { useRevision } from '../../shared/fitting'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { allOf, keys, api, must, type Screen } from '../../shared/api'
import { soonest } from '../../shared/screen'
import { useTask } from '../../shared/ui'

type ByHand =
  | { do: 'point'; element: string }
  | { do: 'line'; line: number }
  | { do: 'lock' | 'afar'; on: boolean }
  | { do: 'happen'; button: string }
  | { do: 'ring' | 'anew' }

/** What stands on the screens of a client’s stand-in hosts. */
export function useScreens(client: string) {
  return useQuery({
    queryKey: keys.screens(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: async () =>
      (await must(api.GET('/api/clients/{client}/screens', { params: { path: { client } } }))).screens,
    refetchInterval: ({ state }) => soonest(state.data ?? []) ?? false,
  })
}

/** Does something on a stand-in host by hand. */
export function useByHand(client: string, host: string) {
  const queries = useQueryClient()
  return useTask(
    useCallback(
      async (asked: ByHand) => {
        const screen = await must(
          api.POST('/api/clients/{client}/screens', {
            params: { path: { client } },
            body: { host, ...asked },
          }),
        )
        queries.setQueriesData({ queryKey: allOf('screens', client) }, (all: Screen[] | undefined) =>
          all?.map((one) => (one.host === screen.host ? screen : one)),
        )
      },
      [client, host, queries],
    ),
  )
}
