const POINTER: Record<string, string> = {
  0: 'left',
  1: 'middle',
  2: 'right',
  3: 'back',
  4: 'forward',
  5: 'eraser',
}
const PEN: Record<string, string> = {
  ...POINTER,
  0: 'tip',
  1: 'upper side button',
  2: 'lower side button',
  5: 'tail',
}

/** A heard source in words. Unknown numbers are kept as they are. */
export function sourceName(source: string): string {
  const [kind, first = '', , last = ''] = source.split(':')
  if (kind === 'key') return `key ${first.replace(/^(Key|Digit)(?=.$)/, '')}`
  if (kind === 'pointer') return `mouse ${POINTER[first] ?? `button ${first}`}`
  if (kind === 'pen') return `pen ${PEN[first] ?? `button ${first}`}`
  if (kind === 'touch') return 'touch'
  if (kind === 'wheel') return `wheel ${first}`
  return `gamepad ${String(Number(first) + 1)}, button ${last}`
}

/** What also works the page itself: it is heard only where that is asked for. */
export function isPrimary(source: string): boolean {
  return source === 'pointer:0' || source === 'pen:0' || source === 'touch:0' || source.startsWith('wheel:')
}

/** Needed to get around by keyboard, and to stop: never bound. */
export const KEPT_KEYS: ReadonlySet<string> = new Set([
  'key:Escape',
  'key:Tab',
  'key:ShiftLeft',
  'key:ShiftRight',
])

const within = (target: EventTarget | null, selector: string) =>
  target instanceof Element && target.closest(selector) !== null

/** What would work a button of the page that the focus is on, or that it is over. */
const WORKS_A_BUTTON = /^(key:(Enter|NumpadEnter|Space)|pointer:.*|pen:.*|touch:.*|wheel:.*)$/

/** It is on a part of the desk that must go on working while everything is heard. */
export const worksTheDesk = (source: string, target: EventTarget | null) =>
  WORKS_A_BUTTON.test(source) && within(target, '[data-never-heard]')

/** On a patch where what works the page is heard instead. */
export const onPatch = (target: EventTarget | null) => within(target, '[data-hears-primary]')
