import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { renderHook } from '@testing-library/react'
import type { ReactNode } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Order } from './queue'
import { useNews } from './news'
import { SavingProvider, useSaving } from './saving'

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

const NOTICES = { joins: ['joins'], fit: ['fit', 'tuning'] } as const
const DESK = ['desk', 'one']

function follow(onHeard = vi.fn()) {
  const queries = new QueryClient()
  queries.setQueryData(DESK, { revision: { number: 4 } })
  const asked: unknown[] = []
  vi.spyOn(queries, 'invalidateQueries').mockImplementation((filters) => {
    if (filters?.refetchType !== 'none') asked.push(filters?.queryKey)
    return Promise.resolve()
  })
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>
      <SavingProvider client="one" revision={4}>
        {children}
      </SavingProvider>
    </QueryClientProvider>
  )
  const hook = renderHook(
    () => {
      useNews('one', NOTICES, onHeard)
      return useSaving().queue
    },
    { wrapper },
  )
  return { asked, queries, onHeard, unmount: hook.unmount, queue: hook.result.current }
}

const tell = (name: string, data: object = {}) =>
  newest()?.dispatchEvent(new MessageEvent(name, { data: JSON.stringify(data) }))
const settled = () => new Promise((resolve) => setTimeout(resolve))

describe('useNews', () => {
  beforeEach(() => {
    FakeSource.all = []
    vi.stubGlobal('EventSource', FakeSource)
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.restoreAllMocks()
  })

  it('hands on what was heard, and asks the desk anew for what somebody else saved', async () => {
    const { asked, onHeard } = follow()
    expect(newest()?.url).toBe('/api/clients/one/live')
    tell('heard', { stream: 's' })
    expect(onHeard).toHaveBeenCalledWith('s')
    tell('revision', { number: 5 })
    await settled()
    expect(asked).toEqual([DESK])
  })

  it('asks nothing twice for what this page saved itself, though the notice comes before the answer', async () => {
    const { asked, queries, queue } = follow()
    let answer: () => void = () => undefined
    vi.stubGlobal('fetch', () => {
      const saved = { revision: { number: 5 }, told: [] }
      return new Promise((resolve) => {
        answer = () => resolve(Response.json(saved, { status: 201 }))
      })
    })
    const order = { made: { kind: 'client', name: 'Una' }, openedOn: 4, options: {} } as Order
    const saving = queue.save(order)
    await settled()
    tell('revision', { number: 5 })
    await settled()
    expect(asked).toEqual([])
    queries.setQueryData(DESK, { revision: { number: 5 } })
    answer()
    await saving
    await settled()
    // Once, by the save.
    expect(asked).toEqual([DESK])
    tell('revision', { number: 5 })
    await settled()
    expect(asked).toEqual([DESK])
  })

  it('asks for what a notice is about, and for nothing else', () => {
    const { asked } = follow()
    tell('fit')
    tell('confirmation')
    expect(asked).toEqual([['fit', 'one'], ['tuning', 'one'], DESK])
  })

  it('asks anew for what it may have missed: at first a newer desk, all that is told after a break', async () => {
    const { asked } = follow()
    tell('here', { number: 4 })
    await settled()
    expect(asked.splice(0)).toEqual([['bench', 'one']])
    tell('here', { number: 4 })
    expect(asked).toEqual([DESK, ['bench', 'one'], ['joins', 'one'], ['fit', 'one'], ['tuning', 'one']])
  })

  it.each([{ number: 5 }, {}])(
    'asks for a desk that was saved between asking and listening: %o',
    async (told) => {
      const { asked } = follow()
      tell('here', told)
      await settled()
      expect(asked).toEqual([['bench', 'one'], DESK])
    },
  )

  it('comes to an end when one may not see it any more, and lets the pages find out why', () => {
    const { asked } = follow()
    tell('ended')
    expect(openOnes()).toEqual([])
    expect(asked).toContainEqual(DESK)
  })

  it('holds no way to the server while the page is hidden, and catches up when it is seen', () => {
    const { asked } = follow()
    see(true)
    expect(openOnes()).toEqual([])
    expect(asked).toEqual([])
    see(false)
    expect(openOnes()).toHaveLength(1)
    expect(asked).toContainEqual(DESK)
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
