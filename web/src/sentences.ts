import { sentences } from './shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('page', {
  kippen: 'Kippen',
  cantBeReached: 'Kippen can’t be reached',
  tryAgain: 'Try again',
  nothingSaved: 'Nothing is saved just now.',
  makeRoom:
    'The disk of the computer Kippen runs on is nearly full: make room on it. What is there can be read.',
  nothingFits: 'Nothing fits.',
})
