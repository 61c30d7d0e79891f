import { inOtherWords, rich, type Message } from './catalogue'

export type Part = string | number | boolean

/** A sentence with parts to fill in; richly – where it needs more than that, see counted.ts. */
export interface Filled<Names extends readonly string[]> {
  readonly message: Message
  readonly names: Names
  readonly richly?: Richly
}

export type Richly = (message: Exclude<Message, string>) => (parts: Record<string, Part>) => string

/** Words for each of a few values. */
type Words = Readonly<Record<string, string>>
export type Written = string | Filled<readonly string[]> | Words

type Said<T> =
  T extends Filled<infer Names>
    ? (...parts: { [I in keyof Names]: Part }) => string
    : T extends string
      ? string
      : { readonly [K in keyof T]: string }

/** All that was written, by scope: what a translation is made from. */
export const written: Record<string, Readonly<Record<string, Written>>> = {}

/** A sentence whose parts are given in the order of these names, whatever order a language has them in. */
export const fill = <const Names extends readonly string[]>(
  message: Message,
  ...names: Names
): Filled<Names> => ({ message, names })

export const isFilled = (one: Written): one is Filled<readonly string[]> =>
  typeof one === 'object' && Array.isArray(one.names)

/** What a part of the page says, each by a key that another language knows it by: `scope.key`. */
export function sentences<T extends Record<string, Written>>(
  scope: string,
  english: T,
): { readonly [K in keyof T]: Said<T[K]> } {
  written[scope] = english
  const said = Object.entries(english).map(([name, one]) => [name, spoken(`${scope}.${name}`, one)])
  return Object.fromEntries(said) as { readonly [K in keyof T]: Said<T[K]> }
}

function spoken(key: string, one: Written) {
  if (typeof one === 'string') return inOtherWords(key, one)
  if (isFilled(one)) return filling(inOtherWords(key, one.message), one)
  return Object.fromEntries(
    Object.entries(one).map(([name, word]) => [name, inOtherWords(`${key}.${name}`, word)]),
  )
}

function filling(message: Message, { names, richly }: Filled<readonly string[]>) {
  const given = (parts: Part[]) => Object.fromEntries(names.map((name, index) => [name, parts[index] ?? '']))
  if (typeof message !== 'string') {
    const said = (rich() ?? richly)?.(message)
    return (...parts: Part[]) => said?.(given(parts)) ?? ''
  }
  return (...parts: Part[]) => {
    const by = given(parts)
    return message.replace(/\{(\w+)\}/g, (_, name: string) => String(by[name]))
  }
}
