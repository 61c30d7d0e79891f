import { createContext, useContext } from 'react'
import type { BenchView, Button } from '../../shared/api'
import type { FoundSource } from './found'
import { isPrimary, type Heard } from '../../shared/hearing'
import type { Live } from './live'
import { useDownOf, useLiveOf, type LiveStore } from './liveStore'
import { useParts, type Store } from './store'
import type { ShownTile } from './tiles'

/** A source that was pressed though it stands for another button than was asked for. */
export interface KnownSource {
  source: string
  button: Button
}

/** finding – everything is heard, to find out which button is which. */
export type BenchMode =
  | { kind: 'off' }
  | { kind: 'on' }
  | { kind: 'finding' }
  | { kind: 'binding'; button: Button; rest: readonly Button[]; many: boolean; known?: KnownSource }

/** What another listener has heard. */
export type Elsewhere = Pick<BenchView, 'stream' | 'listener' | 'listener_id' | 'heard'>

export interface BenchState {
  mode: BenchMode
  buttons: Button[]
  /** Source → button. */
  bindings: ReadonlyMap<string, string>
  tiles: ShownTile[]
  waiting: BenchView['waiting']
  /** While a button is looked for, what was heard here; the latest first. */
  found: readonly FoundSource[]
  /** What joined listeners heard, by stream; the latest first. */
  elsewhere: readonly Elsewhere[]
  trouble: string | undefined
  loading: boolean
  start: () => void
  find: () => void
  stop: () => void
  /** Asks for a press of each, one after the other. */
  bind: (buttons: readonly Button[]) => void
  /** Goes on to the next that is asked for, or to the next device’s. */
  skip: (device?: boolean) => void
  /** A source that is a button’s own stands for it, and those of its device’s other buttons for them. */
  bindOwn: (source: string, button: Button) => void
  /** Says what a source stands for: on this browser, or on another listener. */
  bindTo: (source: string, button: Button, listener?: string) => void
  unbind: (button: Button) => void
  /** What was pressed is known as another button's: it stands for the one asked for instead, or stays as it is. */
  settle: (instead: boolean) => void
  /** Sends a press that was heard though the bench does not listen. */
  pressAside: (button: string, heard: Heard) => void
}

const nothing = () => undefined

/** Before anything is known. */
export const NOT_YET: BenchState = {
  mode: { kind: 'off' },
  buttons: [],
  bindings: new Map(),
  tiles: [],
  waiting: [],
  found: [],
  elsewhere: [],
  trouble: undefined,
  loading: true,
  start: nothing,
  find: nothing,
  stop: nothing,
  bind: nothing,
  skip: nothing,
  bindOwn: nothing,
  bindTo: nothing,
  unbind: nothing,
  settle: nothing,
  pressAside: nothing,
}

export const BenchContext = createContext<Store<BenchState> | undefined>(undefined)

/** Some of what the bench is; drawn anew where one of these is another. */
export function useBench<Name extends keyof BenchState>(...names: Name[]): Pick<BenchState, Name> {
  const bench = useContext(BenchContext)
  if (!bench) throw new Error('useBench stands outside BenchProvider')
  return useParts(bench, names)
}

/** Does it listen for something that works the page too, and so is heard on a patch only? */
export function useHearsHere(): boolean {
  const { mode, bindings } = useBench('mode', 'bindings')
  return mode.kind === 'on' && [...bindings.keys()].some(isPrimary)
}

/** Beside the bench's state, which is another after every press: a lane is drawn anew by its own only. */
export const LiveContext = createContext<LiveStore | undefined>(undefined)

function useLiveStore(): LiveStore {
  const live = useContext(LiveContext)
  if (!live) throw new Error('useLive stands outside BenchProvider')
  return live
}

export function useLive(button: string): Live {
  return useLiveOf(useLiveStore(), button)
}

/** Which of some buttons are down just now. */
export function useDown(buttons: readonly string[]): string[] {
  return useDownOf(useLiveStore(), buttons)
}
