import type { MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import type { Richly } from './sentences'

/** A sentence with parts: names in braces, or, where it has plurals and such, as the message library has read it. */
export type Message = string | MessageFormatElement[]

/** Sentences in other words, by scope and key. Empty: they are said as they are written. */
let spoken: Readonly<Record<string, Message>> = {}
let richly: Richly | undefined

/**
 * Fetches the sentences in other words, where the server has some: { 'tune.apply': … }, in ICU's message format. Before
 * any sentence is read: what is never filled in is read once, when its module is.
 */
export async function speak(): Promise<void> {
  const from = document.documentElement.dataset.words
  if (!from) return
  const [answer, { parse }, counted] = await Promise.all([
    fetch(from),
    import('@formatjs/icu-messageformat-parser'),
    import('./counted'),
  ])
  richly = counted.richly
  if (!answer.ok) throw new Error(`The words of this page could not be fetched: ${String(answer.status)}.`)
  const words = (await answer.json()) as Record<string, string>
  const read = (message: string) => (message.includes('{') ? parse(message, { ignoreTag: true }) : message)
  spoken = Object.fromEntries(Object.entries(words).map(([key, message]) => [key, read(message)]))
}

export const inOtherWords = (key: string, written: Message): Message => spoken[key] ?? written

/** What fills in sentences in other words; undefined: those that are written say it themselves. */
export const rich = (): Richly | undefined => richly
