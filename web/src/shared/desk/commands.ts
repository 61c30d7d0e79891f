import { useEffect, useRef } from 'react'

/** What can be done by a key, by name: the one list from which keys, and words on them, come. */
export const COMMANDS = {
  undo: { name: 'Take the last change back', keys: ['Control+Z'], where: 'desk' },
  redo: { name: 'Make it again', keys: ['Control+Shift+Z'], where: 'desk' },
  'next-pane': { name: 'To the next pane', keys: ['F6'], where: 'desk' },
  'pane-before': { name: 'To the pane before', keys: ['Shift+F6'], where: 'desk' },
  rename: { name: 'Rename the button', keys: ['F2'], where: 'lanes' },
  clear: { name: 'Take the action off', keys: ['Delete'], where: 'lanes' },
  cut: { name: 'Carry it elsewhere', keys: ['Control+X'], where: 'lanes' },
  copy: { name: 'Carry a copy elsewhere', keys: ['Control+C'], where: 'lanes' },
  paste: { name: 'Put what is carried here', keys: ['Control+V'], where: 'lanes' },
} as const satisfies Record<string, { name: string; keys: string[]; where: 'desk' | 'lanes' }>

export type CommandId = keyof typeof COMMANDS
type Where = (typeof COMMANDS)[CommandId]['where']

const TYPING = 'input:not([type=radio]):not([type=checkbox]), textarea, [contenteditable=true]'

/** A pressed key as the list has it: “Control+Shift+Z”. */
export function keyName(event: {
  key: string
  ctrlKey: boolean
  altKey: boolean
  metaKey: boolean
  shiftKey: boolean
}): string {
  const held = [
    event.ctrlKey && 'Control',
    event.altKey && 'Alt',
    event.metaKey && 'Meta',
    event.shiftKey && 'Shift',
  ].filter(Boolean)
  return [...held, event.key.length === 1 ? event.key.toUpperCase() : event.key].join('+')
}

/** Which command a key is, where it was pressed. */
export function commandOf(event: Parameters<typeof keyName>[0], where: Where): CommandId | undefined {
  const name = keyName(event)
  const ids = Object.keys(COMMANDS) as CommandId[]
  return ids.find(
    (id) => COMMANDS[id].where === where && (COMMANDS[id].keys as readonly string[]).includes(name),
  )
}

/** How a command’s keys are said to assistive technology. */
export const keysOf = (id: CommandId): string => COMMANDS[id].keys.join(' ')

/** Does what is asked by the desk’s keys, wherever the focus is; what is being typed keeps its own. */
export function useCommands(does: Partial<Record<CommandId, (() => void) | undefined>>): void {
  const now = useRef(does)
  useEffect(() => {
    now.current = does
  })
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return
      const id = commandOf(event, 'desk')
      if (!id || !(id in now.current)) return
      const typing = event.target instanceof Element && event.target.matches(TYPING)
      if (typing && event.ctrlKey) return
      event.preventDefault()
      now.current[id]?.()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}
