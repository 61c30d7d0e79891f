import { useQuery } from '@tanstack/react-query'
import { api, must, type Change } from '../api'

export function useDesk(client: string) {
  return useQuery({
    queryKey: ['desk', client],
    queryFn: () => must(api.GET('/api/clients/{client}', { params: { path: { client } } })),
  })
}

export interface Spot {
  place: string
  mode: string
}

export function useLanes(client: string, spot: Spot) {
  return useQuery({
    queryKey: ['lanes', client, spot],
    queryFn: () =>
      must(api.GET('/api/clients/{client}/lanes', { params: { path: { client }, query: { ...spot } } })),
    placeholderData: (before) => before,
  })
}

export function useActions() {
  return useQuery({
    queryKey: ['actions'],
    queryFn: async () => (await must(api.GET('/api/actions'))).actions,
    staleTime: Infinity,
  })
}

/** What a change would do to its button; nothing is asked while there is no change. */
export function usePreview(client: string, change: Change | undefined, revision: number) {
  return useQuery({
    queryKey: ['preview', client, revision, change],
    enabled: change !== undefined,
    queryFn: () => {
      if (!change) throw new Error('no change to look at')
      return must(
        api.POST('/api/clients/{client}/previews', { params: { path: { client } }, body: { change } }),
      )
    },
    placeholderData: (before) => before,
    retry: false,
  })
}
