/* eslint-disable no-restricted-imports -- what two features have to do with each other */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, render } from '@testing-library/react'
import { Profiler, type ReactNode } from 'react'
import { describe, expect, it } from 'vitest'
import type { Lane } from '../../shared/api'
import { SavingProvider } from '../../shared/fitting'
import { AccountContext, type SignedIn } from '../../shared/session'
import { BenchContext, LiveContext, NOT_YET, type BenchState } from '../bench/benchContext'
import { pressed, released } from '../bench/live'
import { LiveStore } from '../bench/liveStore'
import { Store } from '../bench/store'
import { LaneRow } from './LaneRow'
import { scalesFor } from './scale'

const lane = (ref: string) =>
  ({
    button: { ref, name: ref, full_name: ref, print: '', kind: 'contact', off: false },
    timed: true,
    own: [],
    limits: [],
    cautions: [],
    regions: [],
    chips: [],
    empties: [],
    boundaries: [],
  }) as unknown as Lane

const LANES = ['a/a', 'b/b', 'c/c'].map(lane)
const SPOT = { place: 'everywhere', mode: 'base' }
const WIDTHS = { held: 500, apart: 300 }
const SCALES = scalesFor(LANES)
const choose = () => undefined

describe('LaneRow', () => {
  it('is drawn anew by its own button’s presses, and by nothing else that the bench hears', () => {
    const store = new LiveStore()
    const drawn: string[] = []
    const bench = new Store(NOT_YET)
    const tell = (more: Partial<BenchState>) => bench.set({ ...bench.get(), ...more })
    const Bench = ({ children }: { children: ReactNode }) => (
      <LiveContext.Provider value={store}>
        <BenchContext.Provider value={bench}>{children}</BenchContext.Provider>
      </LiveContext.Provider>
    )
    render(
      <AccountContext.Provider value={{ role: 'specialist' } as SignedIn}>
        <QueryClientProvider client={new QueryClient()}>
          <SavingProvider client="one" revision={1}>
            <Bench>
              {LANES.map((one) => (
                <Profiler key={one.button.ref} id={one.button.ref} onRender={(id) => drawn.push(id)}>
                  <LaneRow
                    client="one"
                    spot={SPOT}
                    lane={one}
                    scales={SCALES}
                    widths={WIDTHS}
                    chosen={undefined}
                    onChoose={choose}
                  />
                </Profiler>
              ))}
            </Bench>
          </SavingProvider>
        </QueryClientProvider>
      </AccountContext.Provider>,
    )
    expect(drawn).toEqual(['a/a', 'b/b', 'c/c'])
    drawn.length = 0
    act(() => store.update((live) => pressed(live, 'b/b', 1)))
    act(() =>
      tell({ waiting: [{ button: 'b/b', for: 'tap', due_us: 5 }] as unknown as BenchState['waiting'] }),
    )
    act(() => store.update((live) => released(live, 'b/b', 2)))
    act(() => tell({ tiles: [] }))
    expect(drawn).toEqual(['b/b', 'b/b'])
  })
})
