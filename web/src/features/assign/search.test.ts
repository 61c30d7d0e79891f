import { describe, expect, it } from 'vitest'
import { matching } from './search'
import { entry } from './testing'

const action = (id: string, name: string, app: string | null, words: string) =>
  entry({ id, name, app, words })

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
