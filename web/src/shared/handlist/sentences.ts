import { counted, fill, sentences } from '../text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('handlist', {
  through: counted(
    '{set} of {of, plural, one {# value} other {# values}} set and seen{cant, plural, =0 {} one {, # can’t be set} other {, # can’t be set}}',
    'set',
    'of',
    'cant',
  ),
  nothing: 'Nothing is to be set on this device.',
  numbered: fill('{number} of {of}', 'number', 'of'),
  where: 'Where to look for it',
  see: 'How you see that it took',
  undo: 'To undo it',
  set: 'Set and seen',
  cant: 'It can’t be set',
  why: 'Why it can’t be set',
  keepWhy: 'Note it, and go on',
  open: 'Not set after all',
  next: 'Next',
  before: 'Before',
  all: 'The whole list',
  wasSet: fill('Set and seen, {by}, {at}', 'by', 'at'),
  wasCant: fill('Can’t be set, {by}, {at}: {why}', 'by', 'at', 'why'),
  stillOpen: 'open',
  done: 'All through. This counts as handed over.',
})
