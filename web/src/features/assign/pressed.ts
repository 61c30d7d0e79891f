const MODIFIERS = new Set(['Control', 'Alt', 'Shift', 'Meta'])

/**
 * The keys of a keyboard event in W3C terms: modifiers by their value, the other by its code; a
 * letter or figure by what it means, whatever the layout. Undefined while only modifiers are down.
 */
export function combinationOf(event: KeyboardEvent): string[] | undefined {
  if (MODIFIERS.has(event.key)) return undefined
  const modifiers = [
    event.ctrlKey && 'Control',
    event.altKey && 'Alt',
    event.shiftKey && 'Shift',
    event.metaKey && 'Meta',
  ].filter((key) => typeof key === 'string')
  return [...modifiers, keyOf(event)]
}

function keyOf(event: KeyboardEvent): string {
  if (/^[a-z]$/i.test(event.key)) return `Key${event.key.toUpperCase()}`
  if (/^[0-9]$/.test(event.key) && event.code.startsWith('Digit')) return `Digit${event.key}`
  return event.code || event.key
}

/** A modifier pressed and let go alone. */
export const modifierOf = (event: KeyboardEvent) => (MODIFIERS.has(event.key) ? [event.key] : undefined)
