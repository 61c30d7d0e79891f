/** What this part of the page says, ready to be put into another language. */
export const say = {
  noAnswerCameWas: 'No answer came; it was saved all the same.',
  notAsWas: 'Not as it was',
  savedRevisionBetweenNothing: (author: string, number: string) =>
    `${author} saved revision ${number} in between; nothing was taken back.`,
  nothingWasTakenBack: 'Nothing was taken back.',
  savedAsRevision: (number: string) => `Saved as revision ${number}.`,
}
