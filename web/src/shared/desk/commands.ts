import { useEffect, useRef } from 'react'
import { singleKey } from './singleKeys'
import { say } from './sentences'

export interface Command {
  name: string
  keys: readonly string[]
  where: 'desk' | 'lanes'
  /** A sign that does it by itself, once single keys are switched on; it can be changed. */
  single?: string
}

/** What can be done by a key, by name: the one list from which keys, help and command bar come. */
export const COMMANDS = {
  find: { name: say.findAnythingDo, keys: ['Control+K'], where: 'desk' },
  help: { name: say.allKeysHowLooks, keys: ['F1'], where: 'desk', single: '?' },
  undo: { name: say.takeLastChangeBack, keys: ['Control+Z'], where: 'desk', single: 'U' },
  redo: { name: say.makeAgain, keys: ['Control+Shift+Z'], where: 'desk' },
  listen: { name: say.startListeningStop, keys: [], where: 'desk', single: 'L' },
  history: { name: say.whatWasSaved, keys: [], where: 'desk', single: 'H' },
  files: { name: say.files, keys: [], where: 'desk' },
  'carry-over': { name: say.carryOver, keys: [], where: 'desk' },
  answers: { name: say.whatWouldItDo, keys: [], where: 'desk', single: 'E' },
  pointer: { name: say.pointer, keys: [], where: 'desk' },
  places: { name: say.places, keys: [], where: 'desk' },
  modes: { name: say.modes, keys: [], where: 'desk' },
  shortlists: { name: say.shortlists, keys: [], where: 'desk' },
  cues: { name: say.cues, keys: [], where: 'desk' },
  print: { name: say.printWhatShown, keys: [], where: 'desk' },
  'next-pane': { name: say.nextPane, keys: ['F6'], where: 'desk' },
  'pane-before': { name: say.paneBefore, keys: ['Shift+F6'], where: 'desk' },
  rename: { name: say.nameTimesButton, keys: ['F2'], where: 'lanes' },
  clear: { name: say.takeActionOff, keys: ['Delete'], where: 'lanes' },
  cut: { name: say.carryElsewhere, keys: ['Control+X'], where: 'lanes' },
  copy: { name: say.carryCopyElsewhere, keys: ['Control+C'], where: 'lanes' },
  paste: { name: say.putWhatCarriedHere, keys: ['Control+V'], where: 'lanes' },
} as const satisfies Record<string, Command>

export type CommandId = keyof typeof COMMANDS
/** Commands by their id; a desk has those of its steps too. */
export type Commands = Readonly<Record<string, Command>>

const TYPING = 'input:not([type=radio]):not([type=checkbox]), textarea, [contenteditable=true]'

type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'altKey' | 'metaKey' | 'shiftKey'>

/** A pressed key as the list has it: “Control+Shift+Z”. */
export function keyName(event: Pressed): string {
  const held = [
    event.ctrlKey && 'Control',
    event.altKey && 'Alt',
    event.metaKey && 'Meta',
    event.shiftKey && 'Shift',
  ].filter(Boolean)
  return [...held, event.key.length === 1 ? event.key.toUpperCase() : event.key].join('+')
}

/** Which command a key is, where it was pressed. */
export function commandOf(event: Pressed, where: Command['where']): CommandId | undefined {
  const name = keyName(event)
  const ids = Object.keys(COMMANDS) as CommandId[]
  return ids.find(
    (id) => COMMANDS[id].where === where && (COMMANDS[id].keys as readonly string[]).includes(name),
  )
}

/** Which command a sign is by itself; none while single keys are off. */
function singleOf(event: Pressed, all: Commands): string | undefined {
  if (event.ctrlKey || event.altKey || event.metaKey || event.key.length !== 1) return undefined
  const sign = event.key.toUpperCase()
  return Object.entries(all).find(([id, { single }]) => singleKey(id, single) === sign)?.[0]
}

/** How a command’s keys are said to assistive technology. */
export const keysOf = (id: CommandId): string => COMMANDS[id].keys.join(' ')

/** Does what is asked by the desk’s keys, wherever the focus is; what is being typed keeps its own. */
export function useCommands(
  does: Readonly<Record<string, (() => void) | undefined>>,
  all: Commands = COMMANDS,
): void {
  const now = useRef({ does, all })
  useEffect(() => {
    now.current = { does, all }
  })
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return
      const typing = event.target instanceof Element && event.target.matches(TYPING)
      const id = commandOf(event, 'desk') ?? (typing ? undefined : singleOf(event, now.current.all))
      if (!id || !(id in now.current.does)) return
      if (typing && (id === 'undo' || id === 'redo')) return
      event.preventDefault()
      now.current.does[id]?.()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}
