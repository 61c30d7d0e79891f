import { say } from './sentences'

const POINTER: Record<string, string> = {
  0: say.left,
  1: say.middle,
  2: say.right,
  3: say.back,
  4: say.forward,
  5: say.eraser,
}
const PEN: Record<string, string> = {
  ...POINTER,
  0: say.tip,
  1: say.upperSide,
  2: say.lowerSide,
  5: say.tail,
}

/** A heard source in words. Unknown numbers are kept as they are. */
export function sourceName(source: string): string {
  const [kind, first = '', , last = ''] = source.split(':')
  if (kind === 'key') return say.key(first.replace(/^(Key|Digit)(?=.$)/, ''))
  if (kind === 'pointer') return say.mouse(POINTER[first] ?? say.button(first))
  if (kind === 'pen') return say.pen(PEN[first] ?? say.button(first))
  if (kind === 'touch') return say.touch
  if (kind === 'wheel') return say.wheel(first)
  return say.gamepad(String(Number(first) + 1), last)
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
