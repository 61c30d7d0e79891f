import { useRevision } from '../../shared/fitting'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { keys, api, must, type Hands } from '../../shared/api'

/** How far each of a hand’s dials is turned, by its id. */
export type Dials = Record<string, number>

const NONE: Hands = { hands: [], dials: [] }

/** The client’s stand-in hands and the made-up ones, and what can be turned of them. */
export function useHands(client: string) {
  const hands = useQuery({
    queryKey: keys.hands(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: () => must(api.GET('/api/clients/{client}/hands', { params: { path: { client } } })),
  })
  return hands.data ?? NONE
}

/** Presses that a hand makes as it is turned; those before stay in sight until they are there. */
export function useHandPicture(client: string, hand: string | undefined, dials: Dials, seed: number) {
  return useQuery({
    queryKey: keys.handPicture(client, hand, dials, seed),
    enabled: hand !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    queryFn: () =>
      must(
        api.POST('/api/clients/{client}/hands/picture', {
          params: { path: { client } },
          body: { hand: hand ?? '', dials, seed },
        }),
      ),
  }).data
}
