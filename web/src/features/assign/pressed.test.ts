import { describe, expect, it } from 'vitest'
import { combinationOf, modifierOf } from './pressed'

const key = (init: KeyboardEventInit) => new KeyboardEvent('keydown', init)

describe('combinationOf', () => {
  it.each<[KeyboardEventInit, string[] | undefined]>([
    [{ key: 'c', code: 'KeyC', ctrlKey: true }, ['Control', 'KeyC']],
    [{ key: 'A', code: 'KeyQ', shiftKey: true, altKey: true }, ['Alt', 'Shift', 'KeyA']],
    [{ key: 'F7', code: 'F7', metaKey: true }, ['Meta', 'F7']],
    [{ key: '3', code: 'Digit3' }, ['Digit3']],
    [{ key: '3', code: 'Numpad3' }, ['Numpad3']],
    [{ key: 'PageDown', code: 'PageDown', ctrlKey: true }, ['Control', 'PageDown']],
    [{ key: 'Control', code: 'ControlLeft', ctrlKey: true }, undefined],
  ])('%o is %o', (init, keys) => {
    expect(combinationOf(key(init))).toEqual(keys)
  })

  it('knows a modifier alone', () => {
    expect(modifierOf(key({ key: 'Meta', code: 'MetaLeft' }))).toEqual(['Meta'])
    expect(modifierOf(key({ key: 'x', code: 'KeyX' }))).toBeUndefined()
  })
})
