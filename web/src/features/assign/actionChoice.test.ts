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
const SEVERAL = entry('steps', { kind: 'steps' }, [
  { member: 'steps', type: 'steps' },
  { member: 'stop', type: 'button', usual: 'itself' },
])
const volume = (direction: string) => ({ kind: 'volume', direction })
const ALL = [CALL, STEP, LOUDER, SEVERAL]

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

  it('of several steps is whole when each of them is, and more than one', () => {
    const two = [
      { action: volume('up') },
      { action: { kind: 'call', do: 'call', contact: 'Wenna' }, pause_ms: 500 },
    ]
    const several = { kind: 'steps', steps: two, stop: 'mouse/right' }
    expect(meant(choiceOf(several, ALL))).toEqual(several)
    const choice = choiceOf(several, ALL)
    const steps = choice.answers.steps as { choice: object; pauseMs: number }[]
    expect(meant({ ...choice, answers: { ...choice.answers, steps: steps.slice(0, 1) } })).toBeUndefined()
    const empty = [steps[0], { choice: choose(undefined), pauseMs: 0 }]
    expect(meant({ ...choice, answers: { ...choice.answers, steps: empty } })).toBeUndefined()
  })

  it.each([['x'], [[1, null]], [undefined]])('of steps that can’t be made out, %j, is said anew', (steps) => {
    expect(choiceOf({ kind: 'steps', steps } as never, ALL).answers).toEqual({ stop: 'itself' })
  })
})
