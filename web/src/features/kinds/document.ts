import { say } from './sentences'
import type { Gesture, Host, Shape } from '../../shared/api'

type System = Host['system']

/** How a value can be set: any of a range, one of some, or not at all. */
export type Allowed =
  { from: number; to: number; step: number } | { values: (number | string)[] } | { fixed: number | string }

export interface KindButton {
  id: string
  name: string
  kind: 'contact' | 'force' | 'notch'
  at: Shape
  print: string
  builtin: Partial<Record<Gesture, string>>
  held_back: boolean
  heard: { browser: string[]; recording: string[]; stand_in: boolean }
  is: 'free' | 'needed' | 'fixed'
  why?: string
  claims: { gesture: Gesture; by: string; free_by: string }[]
  gestures?: Gesture[]
}

export interface Carries {
  gestures: Gesture[]
  settable: Record<string, Allowed>
  modes: number
  double_click_ms: { usual: number; from: number; to: number }
  unsure?: string
}

export interface ReadyStep {
  id: string
  title: string
  how: string
  see: string
  if_not: string
  needs: string[]
}

/** A kind of device in the form of docs/device-kind.schema.json. What no field stands for stays as it is. */
export interface KindDocument {
  kippen: 'kind/1'
  id: string
  name: string
  words: string
  box: [number, number]
  outline: Shape[]
  belongs?: System
  buttons: KindButton[]
  hosts: Partial<Record<System, Carries>>
  ready: ReadyStep[]
}

/** An id that is not taken yet. */
export function freeId(stem: string, taken: readonly string[]): string {
  if (!taken.includes(stem)) return stem
  let count = 2
  while (taken.includes(`${stem}-${String(count)}`)) count += 1
  return `${stem}-${String(count)}`
}

const ROOM = { left: 14, top: 14, wide: 40, high: 24, gap: 6 }

/** Where one more button is drawn: in rows from the left, where no other is. */
export function nextPlace({ box, buttons }: Pick<KindDocument, 'box' | 'buttons'>): Shape {
  const inRow = Math.max(1, Math.floor((box[0] - 2 * ROOM.left + ROOM.gap) / (ROOM.wide + ROOM.gap)))
  for (let at = 0; ; at += 1) {
    const left = ROOM.left + (at % inRow) * (ROOM.wide + ROOM.gap)
    const top = ROOM.top + Math.floor(at / inRow) * (ROOM.high + ROOM.gap)
    // Below all of the device there is nothing.
    if (top > box[1] || buttons.every((one) => !covers(one.at, left, top)))
      return { rect: [left, top, ROOM.wide, ROOM.high, 6] }
  }
}

function covers({ rect }: Shape, left: number, top: number): boolean {
  const [x = 0, y = 0, wide = 0, high = 0] = rect ?? []
  return x < left + ROOM.wide && left < x + wide && y < top + ROOM.high && top < y + high
}

/** As one reads it: "100 to 5000 by 10", "400, 500", "0". */
export function wordsOf(allowed: Allowed | undefined): string {
  if (!allowed) return ''
  if ('values' in allowed) return allowed.values.join(', ')
  if ('fixed' in allowed) return String(allowed.fixed)
  return say.range(allowed.from, allowed.to, allowed.step)
}

/** Three numbers with words between them, whatever language they are in. */
const RANGE =
  /^[^\d,.-]*(-?[\d.]+)\s+[^\d\s,.-][^\d,.-]*\s+(-?[\d.]+)\s+[^\d\s,.-][^\d,.-]*\s+([\d.]+)[^\d,.-]*$/u

/** The other way round; undefined where nothing is said: then any value goes. */
export function allowedOf(words: string): Allowed | undefined {
  const plain = words.trim()
  if (plain === '') return undefined
  const range = RANGE.exec(plain)
  if (range) return { from: Number(range[1]), to: Number(range[2]), step: Number(range[3]) }
  const values = plain.split(/\s*,\s*/).map((one) => (/^-?[\d.]+$/.test(one) ? Number(one) : one))
  return values.length === 1 && values[0] !== undefined ? { fixed: values[0] } : { values }
}

/** An object without one of its members. */
export function without<T extends object, Name extends keyof T>(from: T, name: Name): Omit<T, Name> {
  const { [name]: _gone, ...rest } = from
  void _gone
  return rest
}

/** Without what is left empty. */
export const said = (builtin: KindButton['builtin']): KindButton['builtin'] =>
  Object.fromEntries(Object.entries(builtin).filter(([, words]) => words.trim() !== ''))
