import { describe, expect, it } from 'vitest'
import { allowedOf, freeId, nextPlace, wordsOf, type Allowed, type KindButton } from './document'

describe('values that can be set', () => {
  it.each<[string, Allowed]>([
    ['100 to 5000 by 10', { from: 100, to: 5000, step: 10 }],
    ['0.3 to 0.8 by 0.05', { from: 0.3, to: 0.8, step: 0.05 }],
    ['400, 500, 700', { values: [400, 500, 700] }],
    ['press, release', { values: ['press', 'release'] }],
    ['0', { fixed: 0 }],
  ])('are read and said: %s', (words, allowed) => {
    expect(allowedOf(words)).toEqual(allowed)
    expect(wordsOf(allowed)).toBe(words)
  })

  it('are any where nothing is said, and what can’t be read is sent as it is', () => {
    expect(allowedOf('  ')).toBeUndefined()
    expect(wordsOf(undefined)).toBe('')
    expect(allowedOf('from 3 on')).toEqual({ fixed: 'from 3 on' })
  })
})

describe('one more button', () => {
  const box: [number, number] = [160, 110]
  const at = (rect: number[]) => ({ at: { rect } }) as KindButton

  it('stands in the next free place of its row, then in the next row', () => {
    const buttons: KindButton[] = []
    const places = [0, 1, 2, 3].map(() => {
      const { rect = [] } = nextPlace({ box, buttons })
      buttons.push(at(rect))
      return rect.slice(0, 2)
    })
    expect(places).toEqual([
      [14, 14],
      [60, 14],
      [106, 14],
      [14, 44],
    ])
  })

  it('covers none that is there', () => {
    expect(nextPlace({ box, buttons: [at([10, 10, 60, 20, 4])] }).rect).toEqual([106, 14, 40, 24, 6])
    expect(nextPlace({ box, buttons: [at([0, 0, 160, 110, 4])] }).rect?.[1]).toBeGreaterThan(110)
  })

  it('has an id of its own', () => {
    expect(freeId('button', [])).toBe('button')
    expect(freeId('button', ['button', 'button-2'])).toBe('button-3')
  })
})
