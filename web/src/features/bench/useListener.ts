import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo } from 'react'
import { api, must, Refused, type Listener } from '../../shared/api'
import { useMayChange } from '../../shared/session'

/** What the specialist's own browser calls itself. */
export const THIS_BROWSER = 'This browser'

const keyFor = (client: string) => `kippen.listener.${client}`

async function known(id: string): Promise<Listener | undefined> {
  try {
    return await must(api.GET('/api/listeners/{listener}', { params: { path: { listener: id } } }))
  } catch (error) {
    if (error instanceof Refused && error.status === 404) return undefined
    throw error
  }
}

async function introduce(client: string): Promise<Listener> {
  const kept = localStorage.getItem(keyFor(client))
  const listener = kept ? await known(kept) : undefined
  if (listener) return listener
  const made = await must(
    api.POST('/api/clients/{client}/listeners', {
      params: { path: { client } },
      body: { name: THIS_BROWSER },
    }),
  )
  localStorage.setItem(keyFor(client), made.id)
  return made
}

/** This browser as a listener of one client, with its bindings. */
export function useListener(client: string) {
  const queries = useQueryClient()
  const key = ['listener', client]
  const enabled = useMayChange()
  const listener = useQuery({
    queryKey: key,
    queryFn: () => introduce(client),
    staleTime: Infinity,
    enabled,
  })
  const bindings = useMemo(
    () => new Map((listener.data?.bindings ?? []).map(({ heard, button }) => [heard, button])),
    [listener.data],
  )
  const rebind = async (next: Map<string, string>) => {
    if (!listener.data) return
    const saved = await must(
      api.PUT('/api/listeners/{listener}/bindings', {
        params: { path: { listener: listener.data.id } },
        body: { bindings: [...next].map(([heard, button]) => ({ heard, button })) },
      }),
    )
    queries.setQueryData(key, saved)
  }
  return { id: listener.data?.id, error: listener.error, bindings, rebind }
}
