import { useSyncExternalStore } from 'react'
import { QUIET, type Live, type LiveByButton } from './live'

/**
 * What the buttons are doing just now, kept beside the page’s state: who looks at one button is
 * drawn anew when that one changes, and nobody else.
 */
export class LiveStore {
  private live: LiveByButton = {}
  private readonly listeners = new Set<() => void>()

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  of = (button: string): Live => this.live[button] ?? QUIET

  update(change: (live: LiveByButton) => LiveByButton): void {
    const next = change(this.live)
    if (next === this.live) return
    this.live = next
    this.listeners.forEach((listener) => listener())
  }
}

export function useLiveOf(store: LiveStore, button: string): Live {
  return useSyncExternalStore(store.subscribe, () => store.of(button))
}

/** Which of some buttons are down. */
export function useDownOf(store: LiveStore, buttons: readonly string[]): string[] {
  // As text, for a list would be another at every look.
  const down = useSyncExternalStore(store.subscribe, () =>
    buttons.filter((button) => store.of(button).down).join(' '),
  )
  return down === '' ? [] : down.split(' ')
}
