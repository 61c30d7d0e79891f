import { describe, expect, it } from 'vitest'
import { linear } from './linear'

describe('linear', () => {
  it('puts values in proportion, beyond the ends too, and finds them again', () => {
    const y = linear([0, 200], [96, 10])
    expect([y(0), y(100), y(200), y(-100)]).toEqual([96, 53, 10, 139])
    expect(y.at(53)).toBe(100)
  })

  it('has round figures, about as many as asked for', () => {
    const ticks = (from: number, to: number, count: number) => linear([from, to], [0, 1]).ticks(count)
    expect(ticks(0, 1500, 7)).toEqual([0, 200, 400, 600, 800, 1000, 1200, 1400])
    expect(ticks(0, 1500, 4)).toEqual([0, 500, 1000, 1500])
    expect(ticks(60, 600, 5)).toEqual([100, 200, 300, 400, 500, 600])
    expect(ticks(0, 1, 5)).toEqual([0, 0.2, 0.4, 0.6, 0.8, 1])
    expect(ticks(0, 0.5, 5)).toEqual([0, 0.1, 0.2, 0.3, 0.4, 0.5])
    expect(ticks(0, 5000, 3)).toEqual([0, 2000, 4000])
  })

  it('has one place for all, and no figures, where both ends are the same', () => {
    const x = linear([5, 5], [6, 100])
    expect([x(5), x(7), x.at(50)]).toEqual([6, 6, 5])
    expect(x.ticks(4)).toEqual([])
  })
})
