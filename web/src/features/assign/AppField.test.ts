import { describe, expect, it } from 'vitest'
import { idOf } from './AppField'

describe('the id of an app by its name', () => {
  it.each([
    ['Letterbox', 'letterbox'],
    ['  Tin whistle! ', 'tin-whistle'],
    ['Wenna’s Écho', 'wennas-echo'],
    ['…', ''],
  ])('%s is %s', (name, id) => {
    expect(idOf(name)).toBe(id)
  })
})
