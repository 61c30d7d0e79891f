import { useSyncExternalStore } from 'react'

/**
 * Signs that do something by themselves, without Ctrl: off until somebody switches them on, for who trembles,
 * or speaks to the computer, would set them off by mistake (WCAG 2.1.4). Kept in this browser.
 */
interface SingleKeys {
  on: boolean
  /** What was changed: the sign of a command, or none. */
  own: Readonly<Record<string, string>>
}

const KEPT = 'kippen.single-keys'
const OFF: SingleKeys = { on: false, own: {} }
const listeners = new Set<() => void>()
let known: { text: string | null; keys: SingleKeys } = { text: null, keys: OFF }

function read(): SingleKeys {
  const text = localStorage.getItem(KEPT)
  if (text !== known.text) known = { text, keys: parsed(text) }
  return known.keys
}

function parsed(text: string | null): SingleKeys {
  try {
    const { on, own } = JSON.parse(text ?? '{}') as Partial<SingleKeys>
    return { on: on === true, own: own && typeof own === 'object' ? own : {} }
  } catch {
    return OFF
  }
}

function write(keys: SingleKeys): void {
  localStorage.setItem(KEPT, JSON.stringify(keys))
  listeners.forEach((listener) => listener())
}

/** The sign of a command; undefined where there is none, or all are off. */
export function singleKey(command: string, usual: string | undefined): string | undefined {
  const { on, own } = read()
  return on ? own[command] || (command in own ? undefined : usual) : undefined
}

export function useSingleKeys() {
  const keys = useSyncExternalStore((listener) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }, read)
  return {
    ...keys,
    switchOn: (on: boolean) => write({ ...keys, on }),
    change: (command: string, sign: string) =>
      write({ ...keys, own: { ...keys.own, [command]: sign.slice(-1).toUpperCase() } }),
  }
}
