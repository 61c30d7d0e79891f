import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useState } from 'react'
import { keys, type CatalogueAction, type Change } from '../../shared/api'
import type { Spot } from '../../shared/fitting'
import { assigning, nothingYet, type Assigning } from './assigning'
import type { Chosen } from './chosen'
import { wordOf } from './gestures'

/** What was chosen for some buttons and not put on when its sheet was left. */
export interface LeftOver {
  buttons: string[]
  /** As they are called, with the gesture. */
  title: string
  spot: Spot
  now: Assigning
  words: string
  /** What would be saved; undefined while something it needs was not said. */
  change: Change | undefined
  openedOn: number
}

/** As many as are kept; the oldest goes. */
const MOST = 5

const same = (one: Pick<LeftOver, 'buttons' | 'spot'>, other: Pick<LeftOver, 'buttons' | 'spot'>) =>
  one.buttons.join() === other.buttons.join() &&
  one.spot.place === other.spot.place &&
  one.spot.mode === other.spot.mode

/** The newest stands first, one for each button and place. */
export const withLeftOver = (all: readonly LeftOver[], one: LeftOver): LeftOver[] =>
  [one, ...all.filter((other) => !same(one, other))].slice(0, MOST)

/** What a sheet about these buttons begins with, where it was left before. */
export const leftOverOf = (all: readonly LeftOver[], buttons: string[], spot: Spot): LeftOver | undefined =>
  all.find((one) => same(one, { buttons, spot }))

/** What a client's sheets left over, for as long as the page is open. */
export function useLeftOver(client: string) {
  const queries = useQueryClient()
  const { data: all } = useQuery<LeftOver[]>({
    queryKey: keys.leftOver(client),
    queryFn: () => [],
    initialData: [],
    staleTime: Infinity,
    gcTime: Infinity,
    enabled: false,
  })
  const keep = useCallback(
    (one: LeftOver) =>
      void queries.setQueryData<LeftOver[]>(keys.leftOver(client), (before = []) =>
        withLeftOver(before, one),
      ),
    [queries, client],
  )
  const drop = useCallback(
    (one: Pick<LeftOver, 'buttons' | 'spot'>) =>
      void queries.setQueryData<LeftOver[]>(keys.leftOver(client), (before = []) =>
        before.filter((other) => !same(one, other)),
      ),
    [queries, client],
  )
  return { all, keep, drop }
}

/** With what a sheet about these buttons begins; from then on it is the sheet's own. */
export function useBefore(client: string, buttons: string[], spot: Spot): LeftOver | undefined {
  const { all, drop } = useLeftOver(client)
  const [before] = useState(() => leftOverOf(all, buttons, spot))
  useEffect(() => {
    if (before) drop(before)
  }, [before, drop])
  return before
}

/** Has the sheet of a gesture begin with an action whose rest must be said there. */
export function useBeginWith(client: string, spot: Spot) {
  const { keep } = useLeftOver(client)
  return useCallback(
    ({ button, gesture, action }: Chosen & { action: CatalogueAction }) =>
      keep({
        buttons: [button.ref],
        title: `${button.full_name}, ${wordOf(gesture)}`,
        spot,
        now: assigning(nothingYet(gesture), { do: 'pick', action }),
        words: action.name,
        change: undefined,
        openedOn: 0,
      }),
    [keep, spot],
  )
}

/** Keeps what was chosen when its sheet is left, however it is left. Returns what says that it was put on. */
export function useKeptUnlessDone(client: string, now: LeftOver): () => void {
  const { keep } = useLeftOver(client)
  const newest = useRef(now)
  const done = useRef(false)
  useEffect(() => {
    newest.current = now
  })
  useEffect(
    () => () => {
      const left = newest.current
      if (!done.current && (left.change ?? left.now.picked)) keep(left)
    },
    [keep],
  )
  return useCallback(() => {
    done.current = true
  }, [])
}
