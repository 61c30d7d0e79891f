import { describe, expect, it } from 'vitest'
import { fileOf, saysOf, withSaid } from './hostsDocument'

const empty = { kippen: 'hosts/1' as const, hosts: [] as never[] }
const keeps = [{ keys: ['F9'], why: 'its own guide' }]

describe('what is said of hosts', () => {
  it('comes out as it went in, and what nobody asks stays', () => {
    const shipped = {
      ...empty,
      hosts: [{ system: 'phone', shortlist: { most: 6, locked: true }, gives: ['hear'] }] as never[],
    }
    const said = withSaid(withSaid(shipped, 'television', { lines: 7, keeps }), 'phone', { lines: 5 })
    expect(saysOf(said, 'television')).toEqual({ lines: 7, keeps })
    expect(saysOf(said, 'phone')).toEqual({ lines: 5 })
    expect(said.hosts[1]).toEqual({ system: 'phone', shortlist: { most: 5, locked: true }, gives: ['hear'] })
    expect(saysOf(said, 'tablet')).toEqual({})
  })

  it('is nothing where nothing is said any more', () => {
    const said = withSaid(empty, 'television', { lines: 7, steps: 3 })
    expect(withSaid(said, 'television', { lines: null, steps: null, keeps: [] }).hosts).toEqual([
      { system: 'television' },
    ])
  })

  it('is read from a file of its form alone', () => {
    expect(fileOf(JSON.stringify(empty))).toEqual(empty)
    expect([
      fileOf('{'),
      fileOf('null'),
      fileOf('{"kippen":"kind/1"}'),
      fileOf('{"kippen":"hosts/1","hosts":7}'),
    ]).toEqual([undefined, undefined, undefined, undefined])
  })
})
