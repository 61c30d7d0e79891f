/** What this part of the page says, ready to be put into another language. */
export const say = {
  notPossible: 'Not possible',
  notReached: 'Not reached',
  tooMuch: 'That is too much at once.',
  answered: (status: string) => `The server answered ${status}.`,
  cantBeReached: 'Kippen’s server can’t be reached. Is it still running?',
}
