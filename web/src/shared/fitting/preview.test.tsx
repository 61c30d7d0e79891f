import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { renderHook, waitFor } from '@testing-library/react'
import type { ReactNode } from 'react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { usePreview } from './queries'
import { SavingProvider } from './saving'

const CHANGE = { kind: 'client' as const, name: 'Una' }
const json = (value: object, status: number) =>
  new Response(JSON.stringify(value), { status, headers: { 'content-type': 'application/json' } })

/** A look, where the server answers its questions with these statuses, and then always with 200. */
function look(...statuses: number[]) {
  const asked: string[] = []
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(request.url)
    const status = statuses.shift() ?? 200
    const problem = { type: 'about:blank', title: '', status, detail: 'no' }
    return Promise.resolve(status === 200 ? json({ words: ['seen'] }, 200) : json(problem, status))
  })
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>
      <SavingProvider client="one" revision={1}>
        {children}
      </SavingProvider>
    </QueryClientProvider>
  )
  const { result } = renderHook(() => usePreview('one', CHANGE, 1), { wrapper })
  return { result, asked }
}

describe('usePreview', () => {
  afterEach(() => vi.unstubAllGlobals())

  it('asks again where a question was overtaken by one that came earlier', async () => {
    const { result, asked } = look(429, 429)
    await waitFor(() => expect(result.current.data?.words).toEqual(['seen']))
    expect(asked).toHaveLength(3)
  })

  it('does not where it is refused for good', async () => {
    const { result, asked } = look(422)
    await waitFor(() => expect(result.current.error).not.toBeNull())
    expect([asked.length, result.current.data]).toEqual([1, undefined])
  })
})
