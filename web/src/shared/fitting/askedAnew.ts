import type { QueryClient } from '@tanstack/react-query'
import { askAnew, keys } from '../api'

/**
 * After something was saved the desk is asked anew; with the number of its revision all else that is shown is another
 * question, and is asked by itself. Resolves once that is shown.
 */
export async function askedAnew(queries: QueryClient, client: string): Promise<void> {
  // Of the caseload nothing is shown here: it is asked anew when it is.
  void queries.invalidateQueries({ queryKey: keys.clients(), refetchType: 'none' })
  await askAnew(queries, { queryKey: keys.desk(client) })
  // Once it is drawn.
  await new Promise((resolve) => setTimeout(resolve))
  const going = queries.getQueryCache().findAll({
    type: 'active',
    fetchStatus: 'fetching',
    predicate: ({ queryKey }) => queryKey[1] === client,
  })
  await Promise.all(going.map((one) => one.promise?.catch(() => undefined)))
}
