import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { keys } from '../../shared/api'

interface Source {
  name: string
  document: Record<string, unknown>
}

/** A fitting that a file brought, for as long as the page is open: what comes of it is chosen in another sheet. */
export function useBrought(client: string) {
  const queries = useQueryClient()
  const { data } = useQuery<Source | null>({
    queryKey: keys.brought(client),
    queryFn: () => null,
    initialData: null,
    staleTime: Infinity,
    gcTime: Infinity,
    enabled: false,
  })
  const bring = useCallback(
    (source: Source) => queries.setQueryData(keys.brought(client), source),
    [queries, client],
  )
  return { brought: data ?? undefined, bring }
}
