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
import { askedAnew } from './askedAnew'
import { SaveQueue, type QueueState } from './queue'
import { send } from './send'

interface Saving {
  queue: SaveQueue
  client: string
}

const SavingContext = createContext<Saving | undefined>(undefined)
// Beside the rest, for it is another at every save: a hundred lanes hang on that.
const RevisionContext = createContext<number | undefined>(undefined)

export function useSaving(): Saving {
  const saving = useContext(SavingContext)
  if (!saving) throw new Error('useSaving stands outside SavingProvider')
  return saving
}

/** The revision that is shown. */
export function useRevision(): number {
  const revision = useContext(RevisionContext)
  if (revision === undefined) throw new Error('useRevision stands outside SavingProvider')
  return revision
}

/** What is on its way; beside the rest, for that is another at every save, and a hundred lanes hang on it. */
export function useSavingState(): QueueState {
  const { queue } = useSaving()
  return useSyncExternalStore(queue.subscribe, queue.snapshot)
}

export function SavingProvider(props: { client: string; revision: number; children: ReactNode }) {
  const { client, revision, children } = props
  const queries = useQueryClient()
  const queue = useMemo(() => {
    const made: SaveQueue = new SaveQueue(
      (order) => send(client, order, () => made.lastSaved),
      () => askedAnew(queries, client),
    )
    return made
  }, [client, queries])
  useEffect(() => {
    queue.shows(revision)
  }, [queue, revision])
  const state = useSyncExternalStore(queue.subscribe, queue.snapshot)
  const value = useMemo(() => ({ queue, client }), [queue, client])
  useStayWhileSaving(state)
  return (
    <SavingContext.Provider value={value}>
      <RevisionContext.Provider value={revision}>{children}</RevisionContext.Provider>
    </SavingContext.Provider>
  )
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
