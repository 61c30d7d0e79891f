import type { QueryClient, QueryFilters } from '@tanstack/react-query'

/**
 * What is shown is asked anew, and stands when this resolves. A question whose first answer is still on its way is asked once
 * more after that: the library takes such an answer for the new one, but it may be older than what made one ask.
 */
export async function askAnew(queries: QueryClient, which: QueryFilters): Promise<void> {
  const first = new Set(
    queries
      .getQueryCache()
      .findAll({ ...which, fetchStatus: 'fetching' })
      .filter((one) => one.state.data === undefined),
  )
  await queries.invalidateQueries(which)
  if (first.size > 0) await queries.invalidateQueries({ ...which, predicate: (one) => first.has(one) })
}
