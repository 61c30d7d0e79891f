import { keepPreviousData, useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo } from 'react'
import {
  api,
  keys,
  must,
  PAGE,
  Refused,
  type CatalogueAction,
  type Change,
  type DurationSetting,
} from '../api'
import { useLanesSince } from './useLanesSince'
import { useRevision, useSaving } from './saving'

export function useDesk(client: string) {
  return useQuery({
    queryKey: keys.desk(client),
    queryFn: () => must(api.GET('/api/clients/{client}', { params: { path: { client } } })),
  })
}

export interface Spot {
  place: string
  mode: string
}

/** The lanes as they are. */
export const useLanes = useLanesSince

/** The lanes as they were in an earlier revision. */
export function useOldLanes(client: string, spot: Spot, revision: number) {
  return useQuery({
    queryKey: keys.oldLanes(client, spot, revision),
    queryFn: () =>
      must(
        api.GET('/api/clients/{client}/lanes', {
          params: { path: { client }, query: { ...spot, revision } },
        }),
      ),
    staleTime: Infinity,
  })
}

/** A time that is taken hold of: of – whose; to – up to which value, in ms; revision – that was shown then. */
export interface Along extends Spot {
  of: string
  setting: string
  to: number
  revision: number
}

/** What lanes become while one of their times is moved; nothing is asked before it is taken hold of. */
export function useLanesAlong(client: string, held: Along | undefined) {
  return useQuery({
    queryKey: keys.along(client, held?.revision ?? 0, held),
    enabled: held !== undefined,
    queryFn: () => {
      if (!held) throw new Error('nothing is held')
      const { of, to, place, mode } = held
      const query = { of, to, place, mode, setting: held.setting as DurationSetting }
      return must(api.GET('/api/clients/{client}/along', { params: { path: { client }, query } }))
    },
    staleTime: Infinity,
    // Gone beyond what is known: that stays until there is more of it.
    placeholderData: (before, query) =>
      query?.queryKey[3] &&
      (query.queryKey[3] as Along).setting === held?.setting &&
      query.queryKey[2] === held.revision
        ? before
        : undefined,
  })
}

/** wanted – it is large, and asked for only where something is chosen from it */
function useCatalogue(wanted = true) {
  const { client } = useSaving()
  return useQuery({
    queryKey: keys.actions(client, useRevision()),
    enabled: wanted,
    queryFn: () => must(api.GET('/api/clients/{client}/actions', { params: { path: { client } } })),
    staleTime: Infinity,
    placeholderData: (before) => before,
  }).data
}

export function useActions(wanted = true) {
  return useCatalogue(wanted)?.actions ?? NO_ACTIONS
}

const NO_ACTIONS: CatalogueAction[] = []

const foundBy = (client: string, revision: number, words: string) => ({
  queryKey: keys.foundActions(client, revision, words),
  queryFn: () =>
    must(api.GET('/api/clients/{client}/actions/found', { params: { path: { client }, query: { words } } })),
  staleTime: Infinity,
})

/** The action that is likeliest meant by what somebody says, of those that will do: for who is faster than what is shown. */
export function useLikeliest() {
  const { client } = useSaving()
  const revision = useRevision()
  const queries = useQueryClient()
  const actions = useActions()
  return async (said: string, willDo: (one: CatalogueAction) => boolean) => {
    const { ids } = await queries.fetchQuery(foundBy(client, revision, said.trim().slice(0, 120)))
    return ids
      .map((id) => actions.find((one) => one.id === id))
      .find((one) => one !== undefined && willDo(one))
  }
}

/**
 * The actions that are meant by what somebody says, the likeliest first; all where nothing is said.
 * settled – what is shown is the answer to these very words
 */
export function useFoundActions(said: string) {
  const { client } = useSaving()
  const actions = useActions()
  const words = said.trim().slice(0, 120)
  const answer = useQuery({
    ...foundBy(client, useRevision(), words),
    enabled: words !== '',
    placeholderData: (before) => before,
  })
  const ids = words === '' ? undefined : answer.data?.ids
  const found = useMemo(
    () =>
      ids
        ? ids.map((id) => actions.find((one) => one.id === id)).filter((one) => one !== undefined)
        : actions,
    [ids, actions],
  )
  return { actions: found, settled: words === '' || (answer.isSuccess && !answer.isPlaceholderData) }
}

/** Where what is in hand could go, and what it would cost there; nothing is asked while nothing is. */
export function useFreePlaces(hand: { of: 'want' | 'action'; id: string } | undefined, spot: Spot) {
  const { client } = useSaving()
  return useQuery({
    queryKey: keys.free(client, useRevision(), hand, spot),
    enabled: hand !== undefined,
    queryFn: () =>
      must(
        api.GET('/api/clients/{client}/free', {
          params: { path: { client }, query: { ...spot, ...(hand ? { [hand.of]: hand.id } : {}) } },
        }),
      ),
  })
}

/** Places, modes, shortlists and cues. */
export function useWhere(client: string) {
  return useQuery({
    queryKey: keys.where(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: () => must(api.GET('/api/clients/{client}/where', { params: { path: { client } } })),
  })
}

/** What a press of a button would do somewhere, and why; nothing is asked while none is chosen. */
export function useAnswers(client: string, button: string | undefined, spot: Spot) {
  return useQuery({
    queryKey: keys.answers(client, useRevision(), button, spot),
    enabled: button !== undefined,
    queryFn: () =>
      must(
        api.GET('/api/clients/{client}/answers', {
          params: { path: { client }, query: { button: button ?? '', ...spot } },
        }),
      ),
    placeholderData: (before) => before,
  })
}

export interface PointerSettings {
  step_px: number
  faster: 'no' | 'slowly' | 'quickly'
  after_ms: number
  every_ms: number
}

/** How far the pointer comes with a held button, and when. */
export function usePointer(client: string, host: string, settings: PointerSettings) {
  return useQuery({
    queryKey: keys.pointer(client, useRevision(), host, settings),
    queryFn: () =>
      must(
        api.GET('/api/clients/{client}/pointer', {
          params: { path: { client }, query: { host, ...settings } },
        }),
      ),
    placeholderData: (before) => before,
    staleTime: Infinity,
  })
}

/** Keys that a combination can be made of. */
export function useKeys() {
  return useCatalogue()?.keys ?? []
}

/** What a combination of keys is; nothing is asked while there is none. */
export function useCombination(pressed: string[]) {
  const { client } = useSaving()
  return useQuery({
    queryKey: keys.combination(client, pressed),
    enabled: pressed.length > 0,
    queryFn: () =>
      must(
        api.GET('/api/clients/{client}/combinations', {
          params: { path: { client }, query: { keys: pressed.join('+') } },
        }),
      ),
    staleTime: Infinity,
  }).data
}

export function useArrangements(client: string) {
  return useQuery({
    queryKey: keys.arrangements(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: async () =>
      (await must(api.GET('/api/clients/{client}/arrangements', { params: { path: { client } } })))
        .arrangements,
  })
}

export function useSettings(client: string) {
  return useQuery({
    queryKey: keys.settings(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: async () =>
      (await must(api.GET('/api/clients/{client}/settings', { params: { path: { client } } }))).of,
  })
}

/** Even on a machine that is busy with others the last question is answered at some time. */
const MOST_OVERTAKEN = 60

/**
 * What a change would do; nothing is asked while there is no change. openedOn – the revision on which
 * it was thought of. data – of this very change; last – of the one before until it is there.
 */
export function usePreview(client: string, change: Change | undefined, openedOn: number) {
  const query = useQuery({
    queryKey: keys.preview(client, useRevision(), openedOn, change),
    enabled: change !== undefined,
    queryFn: () => {
      if (!change) throw new Error('no change to look at')
      const body = { change, opened_on: openedOn, page: PAGE }
      return must(api.POST('/api/clients/{client}/previews', { params: { path: { client } }, body }))
    },
    placeholderData: (before) => before,
    // Questions may overtake each other on their way: the one that is still asked is asked again.
    retry: (failures, error) => error instanceof Refused && error.status === 429 && failures < MOST_OVERTAKEN,
    retryDelay: 150,
  })
  const own = change !== undefined && !query.isPlaceholderData
  return {
    data: own ? query.data : undefined,
    last: query.data,
    error: query.error,
    working: change !== undefined && !query.error && (query.isPlaceholderData || query.isPending),
  }
}

export function useDevices(client: string) {
  return useQuery({
    queryKey: keys.devices(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: () => must(api.GET('/api/clients/{client}/devices', { params: { path: { client } } })),
  })
}

export function useKinds() {
  return useQuery({
    queryKey: keys.kinds(),
    queryFn: async () => (await must(api.GET('/api/kinds'))).kinds,
    staleTime: Infinity,
  })
}

export function useWants(client: string) {
  return useQuery({
    queryKey: keys.wants(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: async () =>
      (await must(api.GET('/api/clients/{client}/wants', { params: { path: { client } } }))).wants,
  })
}

/** What a heard source is called, its codes, and which button it may be. */
export const heardOf = (client: string, revision: number, source: string) => ({
  queryKey: keys.heard(client, revision, source),
  queryFn: () =>
    must(api.GET('/api/clients/{client}/heard', { params: { path: { client }, query: { source } } })),
  staleTime: 30_000,
})

export function useHeard(client: string, source: string) {
  return useQuery({
    ...heardOf(client, useRevision(), source),
    // Of another source nothing is shown in its place.
    placeholderData: (before, query) => (query?.queryKey[3] === source ? before : undefined),
  })
}

/** What was saved, and what undo and redo would do. */
export function useHistory(client: string) {
  return useInfiniteQuery({
    queryKey: keys.history(client, useRevision()),
    initialPageParam: undefined as number | undefined,
    queryFn: ({ pageParam }) => page(client, pageParam),
    // Revisions are numbered from 1 without a gap.
    getNextPageParam: ({ revisions }) => {
      const oldest = revisions.at(-1)?.number
      return oldest !== undefined && oldest > 1 ? oldest : undefined
    },
    placeholderData: keepPreviousData,
  })
}

const page = (client: string, before: number | undefined) =>
  must(
    api.GET('/api/clients/{client}/revisions', {
      params: { path: { client }, query: before ? { before } : {} },
    }),
  )

/** What differs between two revisions, in words. */
export function useDifferences(client: string, from: number | undefined, to: number | undefined) {
  return useQuery({
    queryKey: keys.differences(client, from, to),
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
