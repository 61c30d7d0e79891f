import { fill, sentences } from '../text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('shared.api', {
  notPossible: 'Not possible',
  notReached: 'Not reached',
  tooMuch: 'That is too much at once.',
  answered: fill('The server answered {status}.', 'status'),
  cantBeReached: 'Kippen’s server can’t be reached. Is it still running?',
})
