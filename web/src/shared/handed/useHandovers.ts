import { useQuery } from '@tanstack/react-query'
import { api, keys, must } from '../api'
import { useRevision } from '../fitting'

/** What is on each device, against the fitting as it is. */
export function useHandovers(client: string) {
  return useQuery({
    queryKey: keys.handovers(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: () => must(api.GET('/api/clients/{client}/handovers', { params: { path: { client } } })),
  })
}
