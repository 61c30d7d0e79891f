import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { renderHook, waitFor } from '@testing-library/react'
import { useState, type ReactNode } from 'react'
import { afterEach, expect, it, vi } from 'vitest'
import type { Lane } from '../api'
import { SavingProvider } from './saving'
import { useLanesSince } from './useLanesSince'

const SPOT = { place: 'everywhere', mode: 'base' }
const lane = (ref: string, name = ref) => ({ button: { ref, name } }) as Lane
const answer = (revision: number, since: number | null, order: string[], lanes: Lane[]) => ({
  revision,
  since,
  order,
  lanes,
  heads: [],
  ...SPOT,
})

/** Lanes that are looked at while revisions pass; answers – of the server, one after the other. */
function look(...answers: object[]) {
  const asked: string[] = []
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(new URL(request.url).searchParams.get('since') ?? 'all')
    return Promise.resolve(Response.json(answers.shift()))
  })
  let pass: (revision: number) => void = () => undefined
  const queries = new QueryClient()
  const Desk = ({ children }: { children: ReactNode }) => {
    const [revision, setRevision] = useState(1)
    pass = setRevision
    return (
      <QueryClientProvider client={queries}>
        <SavingProvider client="one" revision={revision}>
          {children}
        </SavingProvider>
      </QueryClientProvider>
    )
  }
  const { result } = renderHook(() => useLanesSince('one', SPOT), { wrapper: Desk })
  const shown = () => result.current.data?.lanes.map(({ button }) => button.name)
  return { asked, shown, result, pass: (revision: number) => pass(revision) }
}

afterEach(() => vi.unstubAllGlobals())

it('asks after a save for what differs, and leaves the rest the very same', async () => {
  const { asked, shown, result, pass } = look(
    answer(1, null, ['a', 'b', 'c'], [lane('a'), lane('b'), lane('c')]),
    // One went, one changed, one came; another order.
    answer(2, 1, ['d', 'c', 'a'], [lane('d'), lane('a', 'A')]),
  )
  await waitFor(() => expect(shown()).toEqual(['a', 'b', 'c']))
  const before = result.current.data?.lanes[2]
  pass(2)
  await waitFor(() => expect(shown()).toEqual(['d', 'c', 'A']))
  expect(result.current.data?.lanes[1]).toBe(before)
  expect(asked).toEqual(['all', '1'])
})

it('shows what it had until what is new is there', async () => {
  const { shown, result, pass } = look(answer(1, null, ['a'], [lane('a')]), answer(2, 1, ['a'], []))
  await waitFor(() => expect(shown()).toEqual(['a']))
  pass(2)
  expect(shown()).toEqual(['a'])
  await waitFor(() => expect(result.current.isPlaceholderData).toBe(false))
  expect(shown()).toEqual(['a'])
})

it('takes all where all is sent, and asks for all where something is missing', async () => {
  const { asked, shown, pass } = look(
    answer(1, null, ['a'], [lane('a')]),
    answer(2, null, ['b'], [lane('b')]),
    answer(3, 2, ['b', 'c'], []),
    answer(3, null, ['b', 'c'], [lane('b'), lane('c')]),
  )
  await waitFor(() => expect(shown()).toEqual(['a']))
  pass(2)
  await waitFor(() => expect(shown()).toEqual(['b']))
  pass(3)
  await waitFor(() => expect(shown()).toEqual(['b', 'c']))
  expect(asked).toEqual(['all', '1', '2', 'all'])
})
