import { useQueryClient } from '@tanstack/react-query'
import {
  createContext,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react'
import { api, must, PAGE, Refused, type Change, type HistoryStep } from '../api'
import { ofTheFitting } from './news'
import { SaveQueue, type Order, type QueueState, type Saved } from './queue'

interface Saving {
  queue: SaveQueue
  client: string
  /** The revision that is shown. */
  revision: number
}

const SavingContext = createContext<Saving | undefined>(undefined)

export function useSaving(): Saving {
  const saving = useContext(SavingContext)
  if (!saving) throw new Error('useSaving stands outside SavingProvider')
  return saving
}

/** What is on its way; beside the rest, for that is another at every save, and a hundred lanes hang on it. */
export function useSavingState(): QueueState {
  const { queue } = useSaving()
  return useSyncExternalStore(queue.subscribe, queue.snapshot)
}

const isStep = (made: Order['made']): made is HistoryStep => 'step' in made && !('kind' in made)

export function SavingProvider(props: { client: string; revision: number; children: ReactNode }) {
  const { client, revision, children } = props
  const queries = useQueryClient()
  const queue = useMemo(() => {
    const made: SaveQueue = new SaveQueue(
      (order) => send(client, order, () => made.lastSaved),
      () => Promise.all(ofTheFitting.map((key) => queries.invalidateQueries({ queryKey: [key] }))),
    )
    return made
  }, [client, queries])
  const state = useSyncExternalStore(queue.subscribe, queue.snapshot)
  const value = useMemo(() => ({ queue, client, revision }), [queue, client, revision])
  useStayWhileSaving(state)
  return <SavingContext.Provider value={value}>{children}</SavingContext.Provider>
}

/** The browser asks before it leaves a page on which something is not saved. */
function useStayWhileSaving({ sending, refused }: QueueState) {
  const [unsaved, setUnsaved] = useState(false)
  const now = sending > 0 || refused.length > 0
  if (now !== unsaved) setUnsaved(now)
  useEffect(() => {
    if (!unsaved) return
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', ask)
    return () => window.removeEventListener('beforeunload', ask)
  }, [unsaved])
}

async function send(client: string, order: Order, lastSaved: () => number): Promise<Saved> {
  const { made, openedOn, options } = order
  const params = { path: { client } }
  if (isStep(made)) {
    const revision = made.revision ?? (await latest(client, made.step, lastSaved()))
    const body = { step: made.step, revision, page: PAGE }
    const answer = await must(api.POST('/api/clients/{client}/steps', { params, body }))
    return { revision: answer.revision, told: [] }
  }
  const answer = await must(
    api.POST('/api/clients/{client}/revisions', {
      params,
      body: {
        opened_on: openedOn,
        page: PAGE,
        change: made as Change,
        ...(options.note ? { note: options.note } : {}),
        ...(options.confirmS ? { confirm_s: options.confirmS } : {}),
      },
    }),
  )
  return { revision: answer.revision, told: answer.told }
}

/**
 * Which revision an undo means that was asked for while others of this page were on their way: the
 * last one, where that is this page's own.
 */
async function latest(client: string, step: HistoryStep['step'], own: number): Promise<number> {
  const history = await must(
    api.GET('/api/clients/{client}/revisions', { params: { path: { client }, query: {} } }),
  )
  const found = step === 'redo' ? history.redo : history.undo
  const newest = history.revisions[0]
  if (found !== null && newest?.number === own) return found
  throw new Refused({
    type: 'about:blank',
    title: 'Not as it was',
    status: 409,
    detail: newest
      ? `${newest.author} saved revision ${String(newest.number)} in between; nothing was taken back.`
      : 'Nothing was taken back.',
  })
}
