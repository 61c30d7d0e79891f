import { useQuery, useQueryClient } from '@tanstack/react-query'
import { createContext, useContext } from 'react'
import { api, carryToken, must, type Session } from '../api'

const KEY = ['session']

/** Who is signed in. With it comes the token that changes carry. */
export function useSession() {
  return useQuery({
    queryKey: KEY,
    queryFn: async () => {
      const session = await must(api.GET('/api/session'))
      carryToken(session.csrf)
      return session
    },
    staleTime: 60_000,
  })
}

/** After signing in or out: nothing of what was shown before stays. */
export function useSessionChanged() {
  const queries = useQueryClient()
  return async () => {
    await queries.refetchQueries({ queryKey: KEY })
    queries.removeQueries({ predicate: (query) => query.queryKey[0] !== KEY[0] })
  }
}

export type SignedIn = NonNullable<Session['account']>

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
