import type { TimingValues } from '../api'

/** What is chosen, held and moved in Tune: all that would be lost otherwise when the page is loaded anew. */
export interface Tuned {
  /** Whose timing; undefined: whose was asked for last. */
  button: string | undefined
  /** The sittings it is found from; none: the last. */
  presses: string[]
  /** What a second of waiting may cost; undefined: as the client has it. */
  price: number | undefined
  fixed: TimingValues
  /** Other presses of the same hand don’t help. */
  alone: boolean
  /** Moved by hand from what one fit has found. */
  moved: { fit: string; timing: TimingValues } | undefined
  /** The setting that is looked at, and the press whose story is told. */
  value: string | undefined
  trial: number | undefined
  /** What it is applied to. */
  scope: string | undefined
}

export const NOTHING_TUNED: Tuned = {
  button: undefined,
  presses: [],
  price: undefined,
  fixed: {},
  alone: false,
  moved: undefined,
  value: undefined,
  trial: undefined,
  scope: undefined,
}

/** What makes another fit of it: what was moved and looked at belongs to the one before. */
const OF_THE_FIT = ['presses', 'price', 'fixed', 'alone'] as const

export function tunedBy(before: Tuned, now: Partial<Tuned>): Tuned {
  const another = OF_THE_FIT.some((one) => one in now)
  return { ...before, ...(another ? { moved: undefined, trial: undefined } : {}), ...now }
}

/** “long_press_ms:900,press_at:0.4” */
const valuesWords = (values: TimingValues): string | undefined =>
  Object.entries(values)
    .map(([name, value]) => `${name}:${String(value)}`)
    .join(',') || undefined

/** What can’t be read is left out. */
function valuesOf(words: string): TimingValues {
  const pairs = words.split(',').flatMap((pair): [string, number][] => {
    const [, name, value] = /^([a-z_]{1,40}):(\d{1,5}(?:\.\d{1,6})?)$/.exec(pair) ?? []
    return name && value ? [[name, Number(value)]] : []
  })
  return Object.fromEntries(pairs)
}

const numberOf = (words: string | null, form: RegExp): number | undefined =>
  words !== null && form.test(words) ? Number(words) : undefined

export function readTuned(given: URLSearchParams): Tuned {
  const [, fit, moved] = /^([0-9a-f-]{36})~(.+)$/.exec(given.get('moved') ?? '') ?? []
  return {
    button: given.get('tuned') ?? undefined,
    presses: given.get('presses')?.split(',').filter(Boolean) ?? [],
    price: numberOf(given.get('price'), /^\d{1,4}(\.\d{1,4})?$/),
    fixed: valuesOf(given.get('fixed') ?? ''),
    alone: given.get('alone') === 'yes',
    moved: fit && moved ? { fit, timing: valuesOf(moved) } : undefined,
    value: given.get('value') ?? undefined,
    trial: numberOf(given.get('press'), /^\d{1,6}$/),
    scope: given.get('for') ?? undefined,
  }
}

export const tunedWords = (tuned: Tuned): [string, string | undefined][] => [
  ['tuned', tuned.button],
  ['presses', tuned.presses.join(',') || undefined],
  ['price', tuned.price === undefined ? undefined : String(tuned.price)],
  ['fixed', valuesWords(tuned.fixed)],
  ['alone', tuned.alone ? 'yes' : undefined],
  ['moved', tuned.moved && `${tuned.moved.fit}~${valuesWords(tuned.moved.timing) ?? ''}`],
  ['value', tuned.value],
  ['press', tuned.trial === undefined ? undefined : String(tuned.trial)],
  ['for', tuned.scope],
]
