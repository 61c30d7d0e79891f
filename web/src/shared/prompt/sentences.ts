import { sentences } from '../text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('shared.prompt', {
  still: 'as long as this stands here',
  whenever: 'whenever you like',
  thanks: 'Thank you. The next one comes by itself.',
  resting: 'We rest. It goes on when you are ready.',
})
