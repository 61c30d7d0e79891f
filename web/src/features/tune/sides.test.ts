import { describe, expect, it } from 'vitest'
import { sides } from './sides'

describe('sides', () => {
  it('says which come out otherwise, and how many for the better and the worse', () => {
    expect(sides('rrmo', 'rrmo')).toEqual({ changed: new Set(), right: 0, wrong: 0 })
    expect(sides('rrmo', 'omrr')).toEqual({ changed: new Set([0, 1, 2, 3]), right: 2, wrong: 2 })
  })

  it('takes one wrong for another as changed, and as neither', () => {
    expect(sides('m', 'e')).toEqual({ changed: new Set([0]), right: 0, wrong: 0 })
  })
})
