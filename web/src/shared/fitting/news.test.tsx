import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { renderHook } from '@testing-library/react'
import type { ReactNode } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useNews } from './news'

class FakeSource extends EventTarget {
  static all: FakeSource[] = []
  open = true
  constructor(readonly url: string) {
    super()
    FakeSource.all.push(this)
  }
  close() {
    this.open = false
  }
}

const openOnes = () => FakeSource.all.filter((source) => source.open)
const newest = () => FakeSource.all.at(-1)

function see(hidden: boolean) {
  vi.spyOn(document, 'hidden', 'get').mockReturnValue(hidden)
  document.dispatchEvent(new Event('visibilitychange'))
}

function follow(onHeard = vi.fn()) {
  const queries = new QueryClient()
  const anew = vi.spyOn(queries, 'invalidateQueries')
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>{children}</QueryClientProvider>
  )
  const hook = renderHook(() => useNews('one', onHeard), { wrapper })
  return { anew, queries, onHeard, unmount: hook.unmount }
}

describe('useNews', () => {
  beforeEach(() => {
    FakeSource.all = []
    vi.stubGlobal('EventSource', FakeSource)
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.restoreAllMocks()
  })

  it('hands on what was heard, and asks anew for what was saved', () => {
    const { anew, onHeard } = follow()
    expect(newest()?.url).toBe('/api/clients/one/live')
    newest()?.dispatchEvent(new MessageEvent('heard', { data: '{"stream":"s"}' }))
    expect(onHeard).toHaveBeenCalledWith('s')
    newest()?.dispatchEvent(new MessageEvent('revision', { data: '{}' }))
    expect(anew).toHaveBeenCalledWith({ queryKey: ['lanes'] })
  })

  it('asks anew for what it may have missed: the desk at first, everything after a break', async () => {
    const { anew, queries } = follow()
    const refetch = vi.spyOn(queries, 'refetchQueries').mockResolvedValue()
    queries.setQueryData(['desk', 'one'], { revision: { number: 4 } })
    newest()?.dispatchEvent(new MessageEvent('here', { data: '{}' }))
    await vi.waitFor(() => expect(anew).toHaveBeenCalledWith({ queryKey: ['bench'] }))
    expect(refetch).toHaveBeenCalledWith({ queryKey: ['desk', 'one'] })
    expect(anew).not.toHaveBeenCalledWith({ queryKey: ['lanes'] })
    newest()?.dispatchEvent(new MessageEvent('here', { data: '{}' }))
    expect(anew).toHaveBeenCalledWith({ queryKey: ['lanes'] })
  })

  it('asks for everything where somebody saved before it listened', async () => {
    const { anew, queries } = follow()
    queries.setQueryData(['desk', 'one'], { revision: { number: 4 } })
    vi.spyOn(queries, 'refetchQueries').mockImplementation(() => {
      queries.setQueryData(['desk', 'one'], { revision: { number: 5 } })
      return Promise.resolve()
    })
    newest()?.dispatchEvent(new MessageEvent('here', { data: '{}' }))
    await vi.waitFor(() => expect(anew).toHaveBeenCalledWith({ queryKey: ['lanes'] }))
  })

  it('comes to an end when one may not see it any more, and lets the pages find out why', () => {
    const { anew } = follow()
    newest()?.dispatchEvent(new MessageEvent('ended', { data: '{}' }))
    expect(openOnes()).toEqual([])
    expect(anew).toHaveBeenCalledWith({ queryKey: ['desk'] })
  })

  it('holds no way to the server while the page is hidden, and catches up when it is seen', () => {
    const { anew } = follow()
    see(true)
    expect(openOnes()).toEqual([])
    expect(anew).not.toHaveBeenCalled()
    see(false)
    expect(openOnes()).toHaveLength(1)
    expect(anew).toHaveBeenCalledWith({ queryKey: ['desk'] })
  })

  it('lets go when the page is left, and comes back with it', () => {
    follow()
    window.dispatchEvent(new Event('pagehide'))
    expect(openOnes()).toEqual([])
    window.dispatchEvent(new Event('pageshow'))
    expect(openOnes()).toHaveLength(1)
    window.dispatchEvent(new Event('pageshow'))
    expect(FakeSource.all).toHaveLength(2)
  })

  it('lets go with the desk', () => {
    follow().unmount()
    expect(openOnes()).toEqual([])
    see(false)
    expect(openOnes()).toEqual([])
  })
})
