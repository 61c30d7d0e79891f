import { describe, expect, it } from 'vitest'
import type { CatalogueAction } from '../../shared/api'
import { matching } from './search'

const action = (id: string, name: string, app: string | null, words: string): CatalogueAction => ({
  id,
  name,
  app,
  words,
  action: { kind: id },
})

const actions = [
  action('answer', 'Answer the call', 'Hearthcall', 'phone video pick up'),
  action('end', 'Hang up', 'Hearthcall', 'phone stop'),
  action('louder', 'Louder', null, 'volume up sound'),
]
const found = (words: string) => matching(actions, words).map((one) => one.id)

describe('matching', () => {
  it.each([
    ['answer phone', ['answer']],
    ['phone answer', ['answer']],
    ['up', ['answer', 'end', 'louder']],
    ['HEARTH ha', ['end']],
    ['', ['answer', 'end', 'louder']],
    ['swer', []],
  ])('%j finds %j', (words, ids) => {
    expect(found(words)).toEqual(ids)
  })
})
