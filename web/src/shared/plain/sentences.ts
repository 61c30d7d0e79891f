import { sentences } from '../text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('shared.plain', {
  show: 'Show',
  hide: 'Hide',
  showPassword: 'Show the password',
  waiting: 'One moment …',
})
