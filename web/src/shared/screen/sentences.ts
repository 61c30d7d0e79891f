/** What this part of the page says, ready to be put into another language. */
export const say = {
  ring: 'A call comes in',
  pointerHere: 'the pointer is here',
  inMode: (name: string) => name,
  how: { held: 'as long as held', latch: 'for the next press', lock: 'until changed' },
  listOpen: (name: string) => `Shortlist ${name}`,
  marked: 'marked',
}
