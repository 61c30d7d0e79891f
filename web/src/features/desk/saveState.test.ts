import { expect, it } from 'vitest'
import type { QueueState } from '../../shared/fitting'
import { stateOf, stateWords } from './saveState'

const queue = (sending: number, refused: number) =>
  ({ sending, refused: Array.from({ length: refused }), done: undefined }) as QueueState

it.each([
  [0, 0, 'saved', 'saved'],
  [2, 0, 'saving', 'saving …'],
  [0, 1, 'failed', 'your change is not saved'],
  [1, 2, 'failed', '2 changes are not saved'],
])('with %d on their way and %d refused it is %s', (sending, refused, state, words) => {
  expect([stateOf(queue(sending, refused)), stateWords(queue(sending, refused))]).toEqual([state, words])
})
