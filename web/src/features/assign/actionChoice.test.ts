import { describe, expect, it } from 'vitest'
import type { CatalogueAction } from '../../shared/api'
import { choiceOf, choose, meant } from './actionChoice'

const entry = (id: string, action: object, asks: object[] = []) =>
  ({ id, action, asks }) as unknown as CatalogueAction
const CALL = entry('phone-call', { kind: 'call', do: 'call' }, [{ member: 'contact', type: 'text' }])
const LOUDER = entry('louder', { kind: 'volume', direction: 'up' })
const STEP = entry('steps', { kind: 'volume' }, [
  { member: 'direction', type: 'choice', usual: 'up' },
  { member: 'steps', type: 'number', usual: 2 },
])
const volume = (direction: string) => ({ kind: 'volume', direction })
const ALL = [CALL, STEP, LOUDER]

describe('an action being chosen', () => {
  it('is the entry that says most of it, with what was said', () => {
    const call = { kind: 'call', do: 'call', contact: 'Wenna' }
    expect(choiceOf(call, ALL)).toEqual({ picked: CALL, answers: { contact: 'Wenna' }, asItIs: undefined })
    expect(choiceOf(volume('up'), ALL).picked).toBe(LOUDER)
    expect(choiceOf(volume('down'), ALL).answers).toEqual({
      direction: 'down',
      steps: 2,
    })
  })

  it.each([
    [{ kind: 'call', do: 'call', contact: 'Wenna' }],
    [{ kind: 'volume', direction: 'up' }],
    [{ kind: 'foghorn', loud: true }],
    [null],
  ])('%j comes out as it went in', (action) => {
    expect(meant(choiceOf(action, ALL))).toEqual(action)
  })

  it('is not whole before all is said', () => {
    expect(meant(choose(CALL))).toBeUndefined()
    expect(meant({ ...choose(CALL), answers: { contact: 'Wenna' } })).toEqual({
      kind: 'call',
      do: 'call',
      contact: 'Wenna',
    })
    expect(meant(choose(undefined))).toBeNull()
  })
})
