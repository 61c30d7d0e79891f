import { IntlMessageFormat } from 'intl-messageformat'
import type { Filled, Part } from './sentences'
import type { Message } from './catalogue'
import { LOCALE } from './locale'

/** Fills in a message that has plurals and such, by the rules of the page's language. */
export function richly(message: Exclude<Message, string>): (parts: Record<string, Part>) => string {
  let format: IntlMessageFormat | undefined
  return (parts) => String((format ??= new IntlMessageFormat(message, LOCALE)).format(parts))
}

/** A sentence that is another for one, for several, or for this or that: in ICU's message format. */
export const counted = <const Names extends readonly string[]>(
  message: Message,
  ...names: Names
): Filled<Names> => ({ message, names, richly })
