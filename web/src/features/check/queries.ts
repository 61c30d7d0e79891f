import { useQuery } from '@tanstack/react-query'
import { api, keys, must, type Checked } from '../../shared/api'
import { useRevision } from '../../shared/fitting'

/** What is wrong with the fitting; asked anew by each revision. */
export function useCheck(client: string) {
  return useQuery({
    queryKey: keys.check(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: () => must(api.GET('/api/clients/{client}/check', { params: { path: { client } } })),
  })
}

/** What would mend a finding, tried by the server. */
export function useFixes(client: string, finding: Checked | undefined) {
  const query = { id: finding?.id ?? '', ...finding?.where }
  return useQuery({
    queryKey: keys.fixes(client, useRevision(), query),
    enabled: finding !== undefined,
    queryFn: async () =>
      (await must(api.GET('/api/clients/{client}/check/fixes', { params: { path: { client }, query } })))
        .fixes,
  })
}
