import { describe, expect, it } from 'vitest'
import type { Checked, Desk } from '../../shared/api'
import { nameOf, placeOf } from './found'

const finding = (id: string, where: Checked['where']): Checked => ({
  id,
  bad: 'serious',
  what: '',
  where,
  fixes: [],
  figures: {},
  rests_on: [],
  mark: '',
})
const DESK = { id: 'c1' } as Desk

describe('a finding in the address', () => {
  it('is called the same whatever order it was sent in, and no two are called alike', () => {
    const one = nameOf(finding('never', { button: 'm/left', gesture: 'tap', place: 'log' }))
    expect(nameOf(finding('never', { place: 'log', gesture: 'tap', button: 'm/left' }))).toBe(one)
    expect(one).toBe('never~button=m/left~gesture=tap~place=log')
    expect(nameOf(finding('no_help', {}))).toBe('no_help')
    expect(nameOf(finding('never', { button: 'm/left', gesture: 'tap', mode: 'log' }))).not.toBe(one)
  })
})

describe('where a finding is seen', () => {
  it.each([
    [{ want: 'page', place: 'log' }, '/clients/c1/wants?sheet=want%3Apage'],
    [
      { button: 'm/left', gesture: 'tap', place: 'log', mode: 'read' },
      '/clients/c1/assign?only=m&place=log&mode=read',
    ],
    [{ host: 'tv', button: 'm/left' }, '/clients/c1/assign?only=m'],
    [{ host: 'tv', shortlist: 'often' }, '/clients/c1/assign?view=shortlists'],
    [{ host: 'tv', mode: 'read', place: 'log' }, '/clients/c1/assign?view=modes'],
    [{ device: 'm' }, '/clients/c1/devices?only=m'],
    [{ host: 'tv' }, '/clients/c1/devices'],
    [{}, '/clients/c1/assign'],
  ])('%o', (where, path) => {
    expect(placeOf(finding('x', where), DESK)).toBe(path)
  })
})
