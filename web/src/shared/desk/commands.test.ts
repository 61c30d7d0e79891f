import { describe, expect, it } from 'vitest'
import { COMMANDS, commandOf, keyName, keysOf } from './commands'

const key = (name: string) => {
  const parts = name.split('+')
  return {
    key: parts.at(-1) ?? '',
    ctrlKey: parts.includes('Control'),
    altKey: parts.includes('Alt'),
    metaKey: parts.includes('Meta'),
    shiftKey: parts.includes('Shift'),
  }
}

describe('commands', () => {
  it('have no key twice in one place', () => {
    const keys = Object.values(COMMANDS).flatMap(({ keys: list, where }) =>
      list.map((one) => `${where} ${one}`),
    )
    expect(new Set(keys).size).toBe(keys.length)
  })

  it.each(Object.entries(COMMANDS))('%s is found by its keys', (id, { keys, where }) => {
    for (const name of keys) expect(commandOf(key(name), where)).toBe(id)
  })

  it.each([
    ['z', undefined],
    ['Control+z', 'undo'],
    ['Control+Shift+Z', 'redo'],
    ['Control+Alt+z', undefined],
    ['Meta+z', undefined],
    ['F2', undefined],
  ] as const)('%s at the desk is %s', (name, id) => {
    expect(commandOf(key(name), 'desk')).toBe(id)
  })

  it('are named for assistive technology', () => {
    expect([keysOf('undo'), keyName(key('Shift+F6'))]).toEqual(['Control+Z', 'Shift+F6'])
  })
})
