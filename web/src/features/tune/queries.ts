import { useRevision } from '../../shared/fitting'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useState } from 'react'
import { useTask } from '../../shared/ui'
import {
  askAnew,
  allOf,
  keys,
  api,
  must,
  type Fit,
  type Sitting,
  type TimingValues,
  type Tuning,
} from '../../shared/api'

/** Sittings, the one that is open, and what would be asked of each button. */
export function useTuning(client: string) {
  return useQuery({
    queryKey: keys.tuning(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: () => must(api.GET('/api/clients/{client}/tuning', { params: { path: { client } } })),
  })
}

/** A sitting as somebody has just changed it: shown at once. */
export function useSittingTaken(client: string) {
  const queries = useQueryClient()
  return useCallback(
    (sitting: Sitting) => {
      queries.setQueriesData<Tuning>({ queryKey: allOf('tuning', client) }, (now) =>
        now && (sitting.open || now.open?.id === sitting.id)
          ? { ...now, open: sitting.open ? sitting : null }
          : now,
      )
      void askAnew(queries, { queryKey: allOf('tuning', client) })
      void askAnew(queries, { queryKey: keys.sitting(sitting.id) })
    },
    [queries, client],
  )
}

export type Step =
  | { do: 'done' | 'skip'; prompt: number; seen?: number }
  | { do: 'again' | 'pause' | 'go_on' | 'end' | 'open' }
  | { do: 'count' | 'discount'; trial: string }
  | { do: 'note'; trial?: string; note: string }
  | { do: 'meant'; trial: string; intended: Sitting['trials'][number]['intended'] }

const stepSitting = (sitting: string, body: Step) =>
  must(api.POST('/api/sittings/{sitting}/steps', { params: { path: { sitting } }, body }))

/** Goes on with a sitting, or says something of it: what it has become is shown at once. */
export function useStepping(client: string, sitting: string) {
  const taken = useSittingTaken(client)
  const task = useTask(
    useCallback(async (step: Step) => taken(await stepSitting(sitting, step)), [sitting, taken]),
  )
  return { step: task.run, busy: task.busy, refused: task.refused }
}

/** A sitting that is over, with its trials; nothing is asked while none is chosen. */
export function useSitting(sitting: string | undefined) {
  return useQuery({
    queryKey: keys.sitting(sitting),
    enabled: sitting !== undefined,
    queryFn: () => must(api.GET('/api/sittings/{sitting}', { params: { path: { sitting: sitting ?? '' } } })),
  })
}

export interface Wanted {
  button: string
  sittings: string[]
  price: number
  fixed: TimingValues
  /** Do other presses of the same hand help? */
  beside: boolean
  /** Do they count as this button’s, whichever they are of? */
  asOwn: boolean
  /** Of which trials: of others it is another fit. */
  of: string
}

/** The fit of some sittings; the same of the same is made once, whoever asks. */
export function useFit(
  client: string,
  wanted: Wanted | undefined,
  mayAsk: boolean,
  known: string | undefined,
) {
  const queries = useQueryClient()
  const asked = useQuery({
    queryKey: keys.fitWanted(client, wanted),
    enabled: wanted !== undefined && mayAsk,
    staleTime: Infinity,
    queryFn: async () => {
      if (!wanted) throw new Error('no fit is wanted')
      const { button, sittings, price, fixed, beside, asOwn } = wanted
      const body = { button, sittings, price, fixed, beside, as_own: asOwn }
      return (await must(api.POST('/api/clients/{client}/fits', { params: { path: { client } }, body }))).id
    },
  })
  const id = wanted && mayAsk ? asked.data : known
  const fit = useQuery({
    queryKey: keys.fit(client, useRevision(), id),
    enabled: id !== undefined,
    queryFn: () => must(api.GET('/api/fits/{fit}', { params: { path: { fit: id ?? '' } } })),
    // A notice may be missed while the page was not seen.
    refetchInterval: ({ state }) => (state.data && isGoing(state.data) ? 3000 : false),
    placeholderData: (before) => before,
  })
  useEffect(() => {
    if (asked.data) void askAnew(queries, { queryKey: allOf('fit', client) })
  }, [asked.data, client, queries])
  // What was found last stays until there is something newer.
  const [last, setLast] = useState<Fit>()
  if (fit.data?.result && fit.data !== last) setLast(fit.data)
  const shown = fit.data?.result ? fit.data : last
  return { fit: fit.data, shown, own: shown?.id === id, error: asked.error ?? fit.error }
}

export const isGoing = (fit: Fit) => fit.state === 'waiting' || fit.state === 'working'

/** What becomes of a fit’s trials along the values of one setting; nothing is asked before it is taken hold of. */
export function useFitAlong(fit: string | undefined, setting: string | undefined, timing: TimingValues) {
  return useQuery({
    queryKey: keys.fitAlong(fit, setting, timing),
    enabled: fit !== undefined && setting !== undefined,
    staleTime: Infinity,
    queryFn: () =>
      must(
        api.POST('/api/fits/{fit}/along', {
          params: { path: { fit: fit ?? '' } },
          body: { setting: setting as 'long_press_ms', timing },
        }),
      ),
  }).data
}

/** What another timing comes to, and who pays for it. */
export function useJudged(fit: string | undefined, timing: TimingValues | undefined) {
  return useQuery({
    queryKey: keys.fitJudged(fit, timing),
    enabled: fit !== undefined && timing !== undefined,
    staleTime: Infinity,
    queryFn: () =>
      must(
        api.POST('/api/fits/{fit}/judged', {
          params: { path: { fit: fit ?? '' } },
          body: { timing: timing ?? {} },
        }),
      ),
    placeholderData: (before) => (timing ? before : undefined),
  }).data
}

export function useFitTrial(fit: string, number: number | undefined) {
  return useQuery({
    queryKey: keys.fitTrial(fit, number),
    enabled: number !== undefined,
    staleTime: Infinity,
    queryFn: () =>
      must(api.GET('/api/fits/{fit}/trials/{number}', { params: { path: { fit, number: number ?? 0 } } })),
  }).data
}
