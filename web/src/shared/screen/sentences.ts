import { fill, sentences } from '../text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('shared.screen', {
  ring: 'A call comes in',
  pointerHere: 'the pointer is here',
  how: { held: 'as long as held', latch: 'for the next press', lock: 'until changed' },
  listOpen: fill('Shortlist {name}', 'name'),
  marked: 'marked',
})
