import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { counted, either, fill, sentences } from '.'
import { isFilled, written } from './sentences'

const ALL = import.meta.glob(['../../**/*sentences.ts', '!./**'], { eager: true })

/** The names in a sentence, wherever in it they stand. */
const namesIn = (elements: MessageFormatElement[]): string[] =>
  elements.flatMap((one) => {
    if (one.type === TYPE.literal || one.type === TYPE.pound) return []
    if (one.type === TYPE.tag) return namesIn(one.children)
    const inside = 'options' in one ? Object.values(one.options).flatMap(({ value }) => namesIn(value)) : []
    return [one.value, ...inside]
  })

describe('what the pages say', () => {
  it('is filled in with what each sentence names, all of it, and nothing else', () => {
    expect(Object.keys(ALL).length).toBeGreaterThan(25)
    const wrong = Object.entries(written).flatMap(([scope, all]) =>
      Object.entries(all)
        .filter(([, one]) => {
          if (!isFilled(one)) return false
          const message =
            typeof one.message === 'string' ? parse(one.message, { ignoreTag: true }) : one.message
          return [...new Set(namesIn(message))].sort().join() !== [...one.names].sort().join()
        })
        .map(([name]) => `${scope}.${name}`),
    )
    expect(wrong).toEqual([])
  })

  it('has been read before, where it needs the message library', () => {
    const unread = Object.entries(written).flatMap(([scope, all]) =>
      Object.entries(all).flatMap(([name, one]) =>
        isFilled(one) && one.richly && typeof one.message === 'string' ? [`${scope}.${name}`] : [],
      ),
    )
    expect(unread).toEqual([])
  })

  it('has each scope once', () => {
    const scopes = Object.values(ALL).flatMap((module) => Object.values(module as Record<string, unknown>))
    // Besides the sentences a module may have a function that words something.
    expect(scopes.filter((one) => typeof one === 'object')).toHaveLength(
      Object.keys(written).filter((scope) => !scope.startsWith('test.')).length,
    )
  })

  it('counts by the rules of the language', () => {
    const say = sentences('test.count', {
      presses: counted(parse('{count, plural, one {# press was} other {# presses were}} taken in.'), 'count'),
      of: fill('{when}: {who}', 'who', 'when'),
    })
    expect(say.presses(1)).toBe('1 press was taken in.')
    expect(say.presses(0)).toBe('0 presses were taken in.')
    expect(say.presses('1200')).toBe('1,200 presses were taken in.')
    expect(say.of('Bram', 'today')).toBe('today: Bram')
    expect(either(['Left', 'Right'])).toBe('Left or Right')
  })
})

describe('in other words', () => {
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.resetModules()
    delete document.documentElement.dataset.words
    document.documentElement.lang = ''
  })

  it('is said where the server has them, with the plurals of that language, and in English where it lacks some', async () => {
    vi.resetModules()
    document.documentElement.dataset.words = '/words.json'
    document.documentElement.lang = 'pl'
    const words = {
      'test.plain': 'Sprawdź',
      'test.kinds.do': 'zrób',
      // Plural forms of Polish as CLDR has them: one, few, many.
      'test.clients': '{count, plural, one {# klient} few {# klienci} many {# klientów} other {# klienta}}',
      'test.turned': '{b} – {a}',
    }
    const answer = { ok: true, json: () => Promise.resolve(words) }
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve(answer)),
    )
    const { speak, ...text } = await import('.')
    await speak()
    const say = text.sentences('test', {
      plain: 'Try it',
      kinds: { do: 'do', help: 'help' },
      clients: text.counted(parse('{count, plural, one {# client} other {# clients}}'), 'count'),
      turned: text.fill('{a}, {b}', 'a', 'b'),
      left: text.fill('{a} left', 'a'),
    })
    expect([1, 2, 5, 22].map((count) => say.clients(count))).toEqual([
      '1 klient',
      '2 klienci',
      '5 klientów',
      '22 klienci',
    ])
    expect([say.plain, say.kinds.do, say.kinds.help, say.turned('x', 'y'), say.left(3)]).toEqual([
      'Sprawdź',
      'zrób',
      'help',
      'y – x',
      '3 left',
    ])
  })

  it('refuses to begin where they cannot be fetched', async () => {
    vi.resetModules()
    document.documentElement.dataset.words = '/words.json'
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve({ ok: false, status: 503 })),
    )
    const { speak } = await import('./catalogue')
    await expect(speak()).rejects.toThrow('503')
  })
})
