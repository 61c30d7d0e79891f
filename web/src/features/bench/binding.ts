import type { Button } from '../../shared/api'
import type { BenchMode } from './benchContext'

const GAMEPAD = /^gamepad:(\d+|\*):/

/** A source as any device of its kind has it. */
const general = (source: string) => source.replace(GAMEPAD, 'gamepad:*:')

/** Does a browser hear this button itself by a source? */
export function isOwn(source: string, button: Button): boolean {
  return (button.sources ?? []).some((own) => own === source || general(own) === general(source))
}

/** The one button that a browser hears by this source itself, if there is but one; what is bound is not asked after. */
export function ownerOf(
  source: string,
  buttons: readonly Button[],
  bound: ReadonlySet<string>,
): Button | undefined {
  const owners = buttons.filter((one) => !one.off && isOwn(source, one))
  const [only] = owners
  return owners.length === 1 && only && !bound.has(only.ref) ? only : undefined
}

export const deviceOf = (button: Pick<Button, 'ref'>): string => button.ref.slice(0, button.ref.indexOf('/'))

/** What a browser hears of a whole device, of which one button was heard: [source, button]. */
export function ownSources(source: string, button: Button, buttons: readonly Button[]): [string, string][] {
  const number = GAMEPAD.exec(source)?.[1]
  const here = (own: string) =>
    number === undefined ? own : own.replace(/^gamepad:\*:/, `gamepad:${number}:`)
  const others = buttons.filter(
    (one) => one.ref !== button.ref && deviceOf(one) === deviceOf(button) && !one.off,
  )
  const found = others.flatMap((one) => {
    const [own] = one.sources ?? []
    return own === undefined ? [] : [[here(own), one.ref] as [string, string]]
  })
  return [[source, button.ref], ...found.filter(([own]) => own !== source)]
}

/** What is asked for next; known – buttons that are known by now: where what was asked for is not, it stays. */
export function nextOf(mode: BenchMode, known: readonly string[] = []): BenchMode {
  if (mode.kind !== 'binding') return mode
  const asked = known.length > 0 && !known.includes(mode.button.ref) ? [mode.button] : []
  const [button, ...rest] = [...asked, ...mode.rest].filter((one) => !known.includes(one.ref))
  return button ? { ...mode, button, rest } : { kind: 'off' }
}

/** Without the other buttons of the device that is asked after. */
export function nextDevice(mode: BenchMode): BenchMode {
  if (mode.kind !== 'binding') return mode
  const { button, rest } = mode
  return nextOf({ ...mode, rest: rest.filter((one) => deviceOf(one) !== deviceOf(button)) })
}
