import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, renderHook } from '@testing-library/react'
import type { ReactNode } from 'react'
import { afterEach, expect, it, vi } from 'vitest'
import { SavingProvider, useSaving } from './saving'

afterEach(() => vi.unstubAllGlobals())

/** Does the browser ask before the page is left? */
const asks = () => {
  const leaving = new Event('beforeunload', { cancelable: true })
  window.dispatchEvent(leaving)
  return leaving.defaultPrevented
}

it('asks before a page is left on which something is not saved, until somebody has decided about it', async () => {
  const problem = { type: 'about:blank', title: '', status: 409, detail: 'no' }
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json(problem, { status: 409 })))
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>
      <SavingProvider client="one" revision={1}>
        {children}
      </SavingProvider>
    </QueryClientProvider>
  )
  const { result } = renderHook(() => useSaving().queue, { wrapper })
  const queue = result.current
  expect(asks()).toBe(false)
  await act(async () => {
    const order = { made: { kind: 'client' as const, name: 'Una' }, openedOn: 1, options: {} }
    await queue.save(order).catch(() => undefined)
  })
  expect(queue.snapshot().refused).toHaveLength(1)
  expect(asks()).toBe(true)
  act(() => queue.drop(queue.snapshot().refused[0]?.id ?? 0))
  expect(asks()).toBe(false)
})
