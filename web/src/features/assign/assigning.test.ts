import { describe, expect, it } from 'vitest'
import { actionOf } from './actionChoice'
import { assigning, changeOf, nothingYet, type Step } from './assigning'
import { entry } from './testing'

const call = entry({
  action: { kind: 'call' },
  asks: [{ member: 'contact', label: 'Whom', type: 'text' }],
})
const timer = entry({
  action: { kind: 'day' },
  asks: [{ member: 'minutes', label: 'Minutes', type: 'number', usual: 10 }],
})
const after = (...steps: Step[]) => steps.reduce(assigning, nothingYet('long_press'))
const everywhere = { place: 'everywhere', mode: 'base' }

describe('assigning', () => {
  it('waits for what an action needs to be told', () => {
    expect(actionOf(after({ do: 'pick', action: call }))).toBeUndefined()
    expect(
      actionOf(after({ do: 'pick', action: call }, { do: 'answer', member: 'contact', value: 'Wenna' })),
    ).toEqual({ kind: 'call', contact: 'Wenna' })
  })

  it('takes the usual where there is one, and forgets the answers to another action', () => {
    expect(actionOf(after({ do: 'pick', action: timer }))).toEqual({ kind: 'day', minutes: 10 })
    const again = after(
      { do: 'pick', action: call },
      { do: 'answer', member: 'contact', value: 'Wenna' },
      { do: 'pick', action: timer },
    )
    expect(actionOf(again)).toEqual({ kind: 'day', minutes: 10 })
  })

  it('makes one change for one button and one of several for more', () => {
    const now = after({ do: 'pick', action: entry({}) })
    const one = { kind: 'assign', gesture: 'long_press', ...everywhere, action: { kind: 'help' } }
    expect(changeOf(now, ['a/b'], everywhere)).toEqual({ ...one, button: 'a/b' })
    expect(changeOf(now, ['a/b', 'a/c'], everywhere)).toEqual({
      kind: 'several',
      changes: [
        { ...one, button: 'a/b' },
        { ...one, button: 'a/c' },
      ],
    })
  })

  it('changes how the tap acts without an action, and not while one is incomplete', () => {
    expect(changeOf(after({ do: 'at-once', atOnce: true }), ['a/b'], everywhere)).toEqual({
      kind: 'tap_at_once',
      button: 'a/b',
      ...everywhere,
      at_once: true,
    })
    expect(
      changeOf(after({ do: 'pick', action: call }, { do: 'at-once', atOnce: true }), ['a/b'], everywhere),
    ).toBeUndefined()
  })

  it('drops the repeat and the choice of the tap with the gesture', () => {
    const now = after(
      { do: 'pick', action: entry({}) },
      { do: 'repeat', repeat: { after_ms: 500, every_ms: 100 } },
      { do: 'at-once', atOnce: true },
      { do: 'gesture', gesture: 'hold' },
    )
    expect(changeOf(now, ['a/b'], everywhere)).toEqual({
      kind: 'assign',
      button: 'a/b',
      gesture: 'hold',
      ...everywhere,
      action: { kind: 'help' },
    })
  })
})
