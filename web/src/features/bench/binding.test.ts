import { describe, expect, it } from 'vitest'
import type { Button } from '../../shared/api'
import type { BenchMode } from './benchContext'
import { isOwn, nextDevice, nextOf, ownerOf, ownSources } from './binding'

const button = (ref: string, ...sources: string[]): Button => ({
  ref,
  name: ref,
  full_name: ref,
  print: '',
  kind: 'contact',
  off: false,
  sources,
})
const LEFT = button('mouse/left', 'pointer:0')
const RIGHT = button('mouse/right', 'pointer:2')
const PAD = button('pad/up', 'gamepad:*:button:12')
const DOWN = button('pad/down', 'gamepad:*:button:13')
const PHONE = button('phone/edge')
const OTHER = button('phone/up')
const ALL = [PHONE, OTHER, LEFT, RIGHT, PAD, DOWN]
const asking = (asked: Button, ...rest: Button[]): BenchMode => ({
  kind: 'binding',
  button: asked,
  rest,
  many: true,
})
const asked = (mode: BenchMode) =>
  mode.kind === 'binding' ? [mode.button, ...mode.rest].map(({ ref }) => ref) : mode.kind

describe('binding', () => {
  it('knows a button’s own source, of any gamepad', () => {
    expect([isOwn('pointer:2', RIGHT), isOwn('pointer:2', LEFT), isOwn('gamepad:3:button:12', PAD)]).toEqual([
      true,
      false,
      true,
    ])
  })

  it('finds who a source belongs to, unless it is two or known already', () => {
    expect(ownerOf('pointer:2', ALL, new Set())?.ref).toBe('mouse/right')
    expect(ownerOf('pointer:2', ALL, new Set(['mouse/right']))).toBeUndefined()
    expect(ownerOf('pointer:2', [...ALL, button('second/right', 'pointer:2')], new Set())).toBeUndefined()
    expect(ownerOf('key:F8', ALL, new Set())).toBeUndefined()
    expect(ownerOf('pointer:2', [{ ...RIGHT, off: true }], new Set())).toBeUndefined()
  })

  it('knows the whole device, of a gamepad the one that was pressed', () => {
    expect(ownSources('pointer:2', RIGHT, ALL)).toEqual([
      ['pointer:2', 'mouse/right'],
      ['pointer:0', 'mouse/left'],
    ])
    expect(ownSources('gamepad:1:button:13', DOWN, ALL)).toEqual([
      ['gamepad:1:button:13', 'pad/down'],
      ['gamepad:1:button:12', 'pad/up'],
    ])
  })

  it('goes on to what is not known yet, and stays where something else was recognised', () => {
    expect(asked(nextOf(asking(PHONE, OTHER)))).toEqual(['phone/up'])
    expect(asked(nextOf(asking(PHONE, LEFT, RIGHT, PAD), ['mouse/right', 'mouse/left']))).toEqual([
      'phone/edge',
      'pad/up',
    ])
    expect(asked(nextOf(asking(LEFT, RIGHT), ['mouse/left', 'mouse/right']))).toBe('off')
    expect(asked(nextDevice(asking(PHONE, OTHER, LEFT)))).toEqual(['mouse/left'])
    expect(asked(nextOf({ kind: 'on' }))).toBe('on')
  })
})
