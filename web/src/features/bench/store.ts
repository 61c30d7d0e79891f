import { useState, useSyncExternalStore } from 'react'

/** Members that are looked at one by one: whoever looks is drawn anew when one of theirs is another, and nobody else. */
export class Store<State extends object> {
  private readonly listeners = new Set<() => void>()

  constructor(private state: State) {}

  get = (): State => this.state

  /** What is the same stays the same. */
  set = (next: State): void => {
    const names = Object.keys(next) as (keyof State)[]
    if (names.every((name) => Object.is(next[name], this.state[name]))) return
    this.state = next
    this.listeners.forEach((listener) => listener())
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }
}

/** The same object for as long as these members are the same. */
export function picking<State extends object, Name extends keyof State>(
  store: Store<State>,
  names: readonly Name[],
): () => Pick<State, Name> {
  let last: Pick<State, Name> | undefined
  return () => {
    const state = store.get()
    const before = last
    if (before && names.every((name) => Object.is(before[name], state[name]))) return before
    last = Object.fromEntries(names.map((name) => [name, state[name]])) as Pick<State, Name>
    return last
  }
}

/** Some members of a store; which, is the same at every render. */
export function useParts<State extends object, Name extends keyof State>(
  store: Store<State>,
  names: readonly Name[],
): Pick<State, Name> {
  const [snapshot] = useState(() => picking(store, names))
  return useSyncExternalStore(store.subscribe, snapshot)
}
