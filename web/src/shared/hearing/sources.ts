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

const closest = (target: EventTarget | null, selector: string) =>
  target instanceof Element ? target.closest(selector) : null

/** A patch on which what works the page is heard, or a part that must go on working: the nearer of them decides. */
const part = (target: EventTarget | null) => closest(target, '[data-hears-primary], [data-never-heard]')

/** What would work a button of the page that it is over. */
const OVER = /^(pointer|pen|touch|wheel):/

const PRESSED_BY = /^key:(Enter|NumpadEnter|Space)$/
const PRESSED =
  'a[href], button, summary, input, select, [role=button], [role=option], [role=tab], [role=menuitem], [role=slider], [role=separator]'
const MOVED_BY = /^key:(Arrow(Left|Right|Up|Down)|Home|End|PageUp|PageDown)$/
const MOVED =
  'input, select, [role=slider], [role=separator], [role=option], [role=combobox], [role=tab], [role=menuitem]'

/** Would this key work what has the focus? A control goes on working, and its keys are nobody's press. */
const worksFocused = (source: string, target: EventTarget | null) =>
  (PRESSED_BY.test(source) && closest(target, PRESSED) !== null) ||
  (MOVED_BY.test(source) && closest(target, MOVED) !== null)

/** It works what has the focus, or is on a part of the desk that must go on working while everything is heard. */
export const worksTheDesk = (source: string, target: EventTarget | null) =>
  worksFocused(source, target) || (OVER.test(source) && part(target)?.matches('[data-never-heard]') === true)

/** On a patch where what works the page is heard instead. */
export const onPatch = (target: EventTarget | null) => part(target)?.matches('[data-hears-primary]') === true

/** Does a key that this page is worked by stand for something? Then what was clicked must not keep the focus. */
export const worksControls = (source: string) => PRESSED_BY.test(source)
