import { useMutation, useQueryClient } from '@tanstack/react-query'
import { createContext, useCallback, useContext, useMemo, type ReactNode } from 'react'
import { api, must, Refused, type Change, type HistoryStep, type Revision } from '../api'
import { ofTheFitting } from './news'

/** What can be saved: a change, or a step in the history. */
export type Made = Change | HistoryStep

/** Where a change stands: the trail says "saved" only when the server has. */
export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  | { kind: 'conflict'; change: Made; parent: number; newest: Revision }
  | { kind: 'failed'; change: Made; why: string }

/** note – why; confirmS – how many seconds one has to confirm it, where it must be. */
export interface SaveOptions {
  note?: string
  confirmS?: number | undefined
}

interface Saving {
  state: SaveState
  /** Saves one change on the revision shown. Resolves to the new revision; rejects with Refused. */
  save: (change: Made, options?: SaveOptions) => Promise<Revision>
  /** Saves once more what was refused, on top of what is there now. */
  again: () => Promise<Revision>
  dismiss: () => void
}

const SavingContext = createContext<Saving | undefined>(undefined)

export function useSaving(): Saving {
  const saving = useContext(SavingContext)
  if (!saving) throw new Error('useSaving stands outside SavingProvider')
  return saving
}

interface Order {
  change: Made
  parent: number
  options: SaveOptions
}

function stateOf(mutation: { isPending: boolean; error: Error | null; variables?: Order }): SaveState {
  const { isPending, error, variables } = mutation
  if (isPending) return { kind: 'saving' }
  if (!error || !variables) return { kind: 'saved' }
  const newest = error instanceof Refused ? error.problem.newest : undefined
  if (newest) return { kind: 'conflict', change: variables.change, parent: variables.parent, newest }
  return { kind: 'failed', change: variables.change, why: error.message }
}

export function SavingProvider(props: { client: string; revision: number; children: ReactNode }) {
  const { client, revision, children } = props
  const queries = useQueryClient()
  const mutation = useMutation({
    // One after another: a change made while one is on its way is saved on top of it.
    scope: { id: `save-${client}` },
    mutationFn: async ({ change, parent, options }: Order) => {
      const params = { path: { client } }
      const answer = await must(
        'step' in change && !('kind' in change)
          ? api.POST('/api/clients/{client}/steps', { params, body: { parent, ...change } })
          : api.POST('/api/clients/{client}/revisions', {
              params,
              body: {
                parent,
                change: change as Change,
                ...(options.note ? { note: options.note } : {}),
                ...(options.confirmS ? { confirm_s: options.confirmS } : {}),
              },
            }),
      )
      return answer.revision
    },
    onSettled: () => Promise.all(ofTheFitting.map((key) => queries.invalidateQueries({ queryKey: [key] }))),
  })
  const { mutateAsync, reset, variables } = mutation
  const save = useCallback(
    (change: Made, options: SaveOptions = {}) => mutateAsync({ change, parent: revision, options }),
    [mutateAsync, revision],
  )
  const again = useCallback(() => {
    if (!variables) throw new Error('nothing was refused')
    return mutateAsync({ ...variables, parent: revision })
  }, [mutateAsync, revision, variables])
  const state = stateOf(mutation)
  const value = useMemo(() => ({ state, save, again, dismiss: reset }), [state, save, again, reset])
  return <SavingContext.Provider value={value}>{children}</SavingContext.Provider>
}
