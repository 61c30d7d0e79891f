import { useQuery } from '@tanstack/react-query'
import { api, must, type ButtonChange } from '../api'

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
export function usePreview(client: string, change: ButtonChange | undefined, revision: number) {
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

export function useDevices(client: string) {
  return useQuery({
    queryKey: ['devices', client],
    queryFn: () => must(api.GET('/api/clients/{client}/devices', { params: { path: { client } } })),
  })
}

export function useKinds() {
  return useQuery({
    queryKey: ['kinds'],
    queryFn: async () => (await must(api.GET('/api/kinds'))).kinds,
    staleTime: Infinity,
  })
}

export function useWants(client: string) {
  return useQuery({
    queryKey: ['wants', client],
    queryFn: async () =>
      (await must(api.GET('/api/clients/{client}/wants', { params: { path: { client } } }))).wants,
  })
}

/** What a heard source is called, its codes, and which button it may be. */
export function useHeard(client: string, source: string) {
  return useQuery({
    queryKey: ['heard', client, source],
    queryFn: () =>
      must(api.GET('/api/clients/{client}/heard', { params: { path: { client }, query: { source } } })),
    staleTime: 30_000,
  })
}

/** What was saved, and what undo and redo would do. */
export function useHistory(client: string) {
  return useQuery({
    queryKey: ['history', client],
    queryFn: () =>
      must(api.GET('/api/clients/{client}/revisions', { params: { path: { client }, query: {} } })),
  })
}

/** What differs between two revisions, in words. */
export function useDifferences(client: string, from: number | undefined, to: number | undefined) {
  return useQuery({
    queryKey: ['differences', client, from, to],
    enabled: from !== undefined && to !== undefined,
    queryFn: async () =>
      (
        await must(
          api.GET('/api/clients/{client}/differences', {
            params: { path: { client }, query: { from: from ?? 1, to: to ?? 1 } },
          }),
        )
      ).words,
    staleTime: Infinity,
  })
}
