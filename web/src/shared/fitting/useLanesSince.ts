import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query'
import { api, keys, must, type LanesAnswer } from '../api'
import type { Spot } from './queries'
import { useRevision } from './saving'

/** What is kept of lanes: with the revision they are of. */
type Kept = LanesAnswer & { revision: number }

/** So long lanes are kept that nobody looks at, in ms: each revision has its own. */
const KEPT_MS = 60_000

const ask = (client: string, spot: Spot, since: number | undefined) =>
  must(
    api.GET('/api/clients/{client}/lanes', {
      params: { path: { client }, query: { ...spot, ...(since ? { since } : {}) } },
    }),
  )

/** The newest that are known of the same place and mode, in another revision. */
function known(queries: QueryClient, client: string, spot: Spot, revision: number): Kept | undefined {
  return queries
    .getQueryCache()
    .findAll({ queryKey: ['lanes', client] })
    .filter(({ queryKey }) => {
      const [, , number, at] = queryKey as ReturnType<typeof keys.lanes>
      return number !== revision && at.place === spot.place && at.mode === spot.mode
    })
    .map((query) => query.state.data as Kept | undefined)
    .filter((one) => one !== undefined)
    .sort((one, other) => other.revision - one.revision)[0]
}

/** With those that differ in their places; undefined where one is missing. */
export function merged<Now extends LanesAnswer & { order: string[] }>(before: LanesAnswer, now: Now) {
  const all = new Map([...before.lanes, ...now.lanes].map((lane) => [lane.button.ref, lane]))
  const lanes = now.order.map((ref) => all.get(ref)).filter((lane) => lane !== undefined)
  return lanes.length === now.order.length ? { ...now, lanes } : undefined
}

/** The lanes as they are in the revision that is shown: of those that are known already, what differs since is asked. */
export function useLanesSince(client: string, spot: Spot) {
  const queries = useQueryClient()
  const revision = useRevision()
  return useQuery({
    queryKey: keys.lanes(client, revision, spot),
    queryFn: async (): Promise<Kept> => {
      const before = known(queries, client, spot, revision)
      const now = await ask(client, spot, before?.revision)
      if (!before || now.since === null) return now
      return merged(before, now) ?? (await ask(client, spot, undefined))
    },
    gcTime: KEPT_MS,
    // What is the same stays the same by itself; to look for it in all of it again takes longer than to draw it.
    structuralSharing: false,
    placeholderData: (before) => before,
  })
}
