import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { renderHook } from '@testing-library/react'
import { createElement, type ReactNode } from 'react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Session } from '../api'
import {
  askedAnew,
  endsSoon,
  nameOfAccount,
  useSessionChanged,
  useSessionGoesOn,
  type SignedIn,
} from './session'

const MIN = 60_000
const NOON = Date.parse('2030-05-04T12:00:00Z')
const session = (ends: string | null) => ({ idle_s: 7200, ends_at: ends }) as Session

describe('when a session ends', () => {
  it.each([
    [null, 114, undefined],
    [null, 113, undefined],
    ['2030-05-04T23:00:00Z', 114, { at: NOON + 119 * MIN, canStay: true }],
    ['2030-05-04T14:00:00Z', 116, { at: NOON + 119 * MIN, canStay: true }],
    ['2030-05-04T13:50:00Z', 105, { at: NOON + 110 * MIN, canStay: false }],
    ['2030-05-04T13:50:00Z', 104, undefined],
  ])('ending at %s and unused for %d minutes', (ends, minutes, said) => {
    expect(
      endsSoon(session(ends ?? '2030-05-05T00:00:00Z'), NOON + (minutes - (ends ? 0 : 1)) * MIN, NOON),
    ).toEqual(said)
  })
})

describe('an account', () => {
  it('is another in another service, though the address is the same', () => {
    const one = {
      email: 'a@b.example',
      service: 'Reedbank',
      demo: false,
      name: 'A',
      role: 'lead',
    } as SignedIn
    expect(nameOfAccount({ ...one, role: 'viewer' })).toBe(nameOfAccount(one))
    expect(nameOfAccount({ ...one, service: 'Saltmarsh Row', demo: true })).not.toBe(nameOfAccount(one))
  })
})

describe('who is there after signing in', () => {
  const nobody = { account: null } as Session
  const back = { account: { name: 'Marit' } } as Session
  const KEY = ['session']

  it('is not told by what was asked before and comes late, nor kept up by what is asked meanwhile', async () => {
    const queries = new QueryClient()
    let late: (session: Session) => void = () => undefined
    const before = queries.fetchQuery({
      queryKey: KEY,
      queryFn: () => new Promise<Session>((is) => (late = is)),
    })
    const now = askedAnew(queries, async () => {
      // Something refused for want of a session makes it be asked for once more.
      void queries.invalidateQueries({ queryKey: KEY })
      await Promise.resolve()
      return back
    })
    await expect(now).resolves.toBe(back)
    late(nobody)
    await before.catch(() => undefined)
    expect(queries.getQueryData(KEY)).toBe(back)
  })
})

describe('what was shown', () => {
  const marit = {
    email: 'm@reedbank.example',
    service: 'Reedbank',
    demo: false,
    name: 'Marit',
    role: 'lead',
  } as SignedIn
  const wilmot = { ...marit, email: 'w@reedbank.example', name: 'Wilmot' } as SignedIn
  const DESK = ['desk', 'one']

  afterEach(() => vi.unstubAllGlobals())

  /** The server knows this person by now; something of a client was shown before. */
  function after<Hook>(now: SignedIn | null, hook: () => Hook) {
    vi.stubGlobal('fetch', () => Promise.resolve(Response.json({ account: now, csrf: 'c' })))
    const queries = new QueryClient()
    queries.setQueryData(DESK, { name: 'Bram' })
    const wrapper = ({ children }: { children: ReactNode }) =>
      createElement(QueryClientProvider, { client: queries }, children)
    return { queries, does: renderHook(hook, { wrapper }).result.current }
  }

  it('is gone once somebody signs in or out', async () => {
    const { queries, does } = after(wilmot, useSessionChanged)
    await does()
    expect(queries.getQueryData(DESK)).toBeUndefined()
  })

  it('stays for the same person after their session ended by itself, and for nobody else', async () => {
    const same = after(marit, useSessionGoesOn)
    await same.does(marit)
    expect(same.queries.getQueryData(DESK)).toEqual({ name: 'Bram' })
    expect(same.queries.getQueryState(DESK)?.isInvalidated).toBe(true)
    const another = after(wilmot, useSessionGoesOn)
    await another.does(marit)
    expect(another.queries.getQueryData(DESK)).toBeUndefined()
  })
})
