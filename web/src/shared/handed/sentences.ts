import { fill, sentences } from '../text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('handed', {
  nothing: 'Nothing is on it, and nothing would be',
  nothingYet: 'Nothing is on it yet',
  onIt: fill('Revision {number} is on it', 'number'),
  differs: fill('Revision {number} is on it; this one differs', 'number'),
  anothers: 'Something is on it that is not this client’s',
  unknown: 'Not asked since everything was restored from a back-up: nobody knows what is on it',
  waiting: 'Its turn comes',
  writing: fill('Being written: {done} of {of} · {part}', 'done', 'of', 'part'),
  switching: 'Written; put in force in a moment',
  away: 'Out of reach. It keeps what it had, whole; it is caught up when it is back',
  brokenOff: fill(
    'Broken off at {done} of {of}. It keeps what it had, whole; it is caught up when it is back',
    'done',
    'of',
  ),
  byHand: fill('By hand: {set} of {of} set and seen', 'set', 'of'),
})
