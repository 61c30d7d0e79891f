import { fill, sentences } from '../text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('shared.fitting', {
  noAnswerCameWas: 'No answer came; it was saved all the same.',
  notAsWas: 'Not as it was',
  savedRevisionBetweenNothing: fill(
    '{author} saved revision {number} in between; nothing was taken back.',
    'author',
    'number',
  ),
  nothingWasTakenBack: 'Nothing was taken back.',
  savedAsRevision: fill('Saved as revision {number}.', 'number'),
})
