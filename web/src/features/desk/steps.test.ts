import { expect, it } from 'vitest'
import { NOTICES, STEPS, together } from './steps'

it('asks by one notice for all that any step wants of it', () => {
  expect(
    together([{ sitting: ['tuning'], fit: ['fit'] }, { sitting: ['check', 'tuning'] }, { joins: ['joins'] }]),
  ).toEqual({ sitting: ['tuning', 'check'], fit: ['fit'], joins: ['joins'] })
  for (const { notices } of STEPS)
    for (const [name, asked] of Object.entries(notices))
      expect(NOTICES[name]).toEqual(expect.arrayContaining([...asked]))
})
