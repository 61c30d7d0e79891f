import { expect, it } from 'vitest'
import type { Desk, Found } from '../../shared/api'
import { topics } from '../../../../core/data/topics.json'
import { ALL_COMMANDS } from './allCommands'
import { STEPS } from './steps'
import { buttonsFor, findables } from './findable'
import { leadsOf } from './leads'

const DESK = { id: 'c1', hosts: [] } as unknown as Desk
const found = (kind: Found['kind'], id: string, leads: Found['leads'] = null): Found => ({
  kind,
  id,
  name: id,
  of: null,
  note: null,
  leads,
})
const at = (one: Found, mayChange = true) => leadsOf(one, DESK, mayChange)

it('leads to where it is', () => {
  expect(at(found('step', 'tune'))).toEqual({ to: 'page', path: '/clients/c1/tune' })
  expect(at(found('mode', 'reading'))).toEqual({
    to: 'desk',
    moves: [
      { do: 'spot', place: 'everywhere', mode: 'reading' },
      { do: 'view', view: 'lanes' },
    ],
    step: 'assign',
  })
  expect(at(found('assignment', 'mouse/back long_press letters reading'))).toEqual({
    to: 'desk',
    moves: [
      { do: 'spot', place: 'letters', mode: 'reading' },
      { do: 'view', view: 'lanes' },
      { do: 'open', sheet: { of: 'gesture', button: 'mouse/back', gesture: 'long_press', also: [] } },
    ],
    step: 'assign',
  })
  expect(at(found('setting', 'host computer double_click_ms'))).toEqual({
    to: 'desk',
    moves: [{ do: 'open', sheet: { of: 'settings', about: 'host', id: 'computer' } }],
    step: 'devices',
  })
  expect(at(found('revision', '7'))).toEqual({
    to: 'desk',
    moves: [{ do: 'compare', compared: { from: 6, to: 7 } }],
    step: 'assign',
  })
})

it('asks of which button a setting is that all have, and sets levels where they are seen', () => {
  expect(at(found('setting', 'bounce_guard_ms'))).toMatchObject({ to: 'which-button' })
  expect(at(found('value', 'mouse/left bounce_guard_ms'))).toMatchObject({
    moves: [{ do: 'open', sheet: { of: 'rename', button: 'mouse/left' } }],
  })
  expect(at(found('value', 'grip/squeeze press_at'))).toMatchObject({
    moves: [{ do: 'tune', button: 'grip/squeeze' }],
    step: 'tune',
  })
})

it('asks only of buttons that can have it', () => {
  const button = (kind: string) => ({ ref: kind, full_name: kind, kind })
  const desk = {
    id: 'c1',
    hosts: [{ devices: [{ buttons: ['contact', 'force', 'notch'].map(button) }] }],
  } as unknown as Desk
  const names = (setting: string) => buttonsFor(desk, setting, '', true).map(({ name }) => name)
  expect(names('press_at')).toEqual(['force'])
  expect(names('tap_gap_ms')).toEqual(['contact', 'force'])
})

it('offers who only looks nothing that changes anything', () => {
  const sheets = ['want', 'host', 'button', 'action', 'shortlist', 'value'] as const
  for (const kind of sheets)
    expect(JSON.stringify(at(found(kind, 'a/b c'), false) ?? '')).not.toContain('sheet')
  expect(at(found('setting', 'host computer pointer_find'), false)).toBeUndefined()
  expect(at(found('help', 'join', { sheet: 'join' }), false)).toBeUndefined()
})

it('leaves out what can’t be done now', () => {
  const commands = [found('do', 'undo'), found('help', 'teach', { do: 'listen' }), found('do', 'help')]
  expect(findables(commands, DESK, new Set(['help']), true).map(({ name }) => name)).toEqual(['help'])
})

it('calls commands and steps as they are called where they are found', () => {
  const named = (kind: string) => topics.filter((one) => one.kind === kind).map(({ id, name }) => [id, name])
  expect(named('do')).toEqual(named('do').map(([id]) => [id, ALL_COMMANDS[String(id)]?.name]))
  expect(named('step')).toEqual(STEPS.map(({ id, name }) => [id, name]))
})
