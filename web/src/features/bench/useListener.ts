import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo, useRef } from 'react'
import { keys, api, must, Refused, type Listener } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { BROWSER } from '../../shared/hearing'

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
      body: { name: BROWSER },
    }),
  )
  localStorage.setItem(keyFor(client), made.id)
  return made
}

/** This browser as a listener of one client, with its bindings. */
export function useListener(client: string) {
  const queries = useQueryClient()
  const key = keys.listener(client)
  const enabled = useMayChange()
  const listener = useQuery({
    queryKey: key,
    queryFn: () => introduce(client),
    staleTime: Infinity,
    enabled,
  })
  const bindings = useMemo(() => bindingsOf(listener.data), [listener.data])
  // One after the other, each on what the one before has come to: presses may follow each other fast.
  const last = useRef<Promise<unknown>>(Promise.resolve())
  const rebind = (change: (now: ReadonlyMap<string, string>) => Map<string, string>): Promise<void> => {
    const next = last.current.then(async () => {
      const now = queries.getQueryData<Listener>(key)
      if (!now) return
      const saved = await must(
        api.PUT('/api/listeners/{listener}/bindings', {
          params: { path: { listener: now.id } },
          body: { bindings: [...change(bindingsOf(now))].map(([heard, button]) => ({ heard, button })) },
        }),
      )
      queries.setQueryData(key, saved)
    })
    last.current = next.catch(() => undefined)
    return next
  }
  return { id: listener.data?.id, error: listener.error, bindings, rebind }
}

/** Source → button. */
const bindingsOf = (listener: Listener | undefined): ReadonlyMap<string, string> =>
  new Map((listener?.bindings ?? []).map(({ heard, button }) => [heard, button]))
