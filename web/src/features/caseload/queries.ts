import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { keys, api, must } from '../../shared/api'

/** The caseload, fifty at a time. */
export function useCaseload(search: string) {
  return useInfiniteQuery({
    queryKey: keys.clients(search),
    initialPageParam: 1,
    queryFn: ({ pageParam }) =>
      must(api.GET('/api/clients', { params: { query: { search, page: pageParam } } })),
    getNextPageParam: (last, _pages, page) => (last.more ? page + 1 : undefined),
    placeholderData: (before) => before,
  })
}

/** What would go if a client were erased. */
export function useErasure(client: string) {
  return useQuery({
    queryKey: keys.erasure(client),
    queryFn: () => must(api.GET('/api/clients/{client}/erasure', { params: { path: { client } } })),
    staleTime: 0,
  })
}
