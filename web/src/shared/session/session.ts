import { useQuery, useQueryClient, type Query, type QueryClient } from '@tanstack/react-query'
import { createContext, useContext } from 'react'
import { keys, api, carryToken, must, type Session } from '../api'

const KEY = keys.session()

/** Who is signed in. With it comes the token that changes carry. */
async function ask(): Promise<Session> {
  const session = await must(api.GET('/api/session'))
  carryToken(session.csrf)
  localStorage.setItem(WAS_HERE, session.account ? 'yes' : 'no')
  return session
}

const WAS_HERE = 'kippen.signed-in'

/** Was somebody signed in when this browser asked last? A guess at what will be needed, and no more. */
export const wasHere = (): boolean => localStorage.getItem(WAS_HERE) === 'yes'

export function useSession() {
  return useQuery({ queryKey: KEY, queryFn: ask, staleTime: 60_000 })
}

/** Who is there now, after signing in or out: what was asked before and is still on its way tells nothing of it, and who
    asks meanwhile ends nothing. */
export async function askedAnew(queries: QueryClient, asking = ask): Promise<Session> {
  const session = await asking()
  await queries.cancelQueries({ queryKey: KEY })
  queries.setQueryData(KEY, session)
  return session
}

const others = { predicate: (query: Query) => query.queryKey[0] !== KEY[0] }

/** After signing in or out: nothing of what was shown before stays. */
export function useSessionChanged() {
  const queries = useQueryClient()
  return async () => {
    await askedAnew(queries)
    queries.removeQueries(others)
  }
}

/** After a session ended by itself, and the same person signed in again: all is asked anew, and nothing is taken away. */
export function useSessionGoesOn() {
  const queries = useQueryClient()
  return async (before: SignedIn) => {
    const now = (await askedAnew(queries)).account
    if (now && nameOfAccount(now) === nameOfAccount(before)) await queries.invalidateQueries(others)
    else queries.removeQueries(others)
  }
}

/** So long before it ends it is said, in ms. */
const SAID_BEFORE_MS = 5 * 60_000
/** The server notes a use once a minute. */
const NOTED_MS = 60_000

/** When a session ends, and whether by itself; undefined while that is far. now, used – by this machine’s clock, in ms */
export function endsSoon(session: Session, now: number, used: number) {
  const idle = used + session.idle_s * 1000 - NOTED_MS
  const last = session.ends_at === null ? Infinity : Date.parse(session.ends_at)
  const at = Math.min(idle, last)
  return at - now <= SAID_BEFORE_MS ? { at, canStay: idle < last } : undefined
}

export type SignedIn = NonNullable<Session['account']>

/** Which account it is: an address may have one in several services. */
export const nameOfAccount = ({ email, service, demo }: SignedIn): string =>
  JSON.stringify([email, service, demo])

export const AccountContext = createContext<SignedIn | undefined>(undefined)

export function useAccount(): SignedIn {
  const account = useContext(AccountContext)
  if (!account) throw new Error('useAccount stands outside of a session')
  return account
}

/** What is shown below it is only looked at: an earlier state, say. */
export const LookOnly = createContext(false)

/** A viewer looks; whoever else is signed in may change. */
export function useMayChange(): boolean {
  const lookOnly = useContext(LookOnly)
  return useAccount().role !== 'viewer' && !lookOnly
}
