/** What this part of the page says, ready to be put into another language. */
export const say = {
  screenOf: (name: string) => `Stand-in ${name}`,
  whichHost: 'Which host',
  choosePlace: 'Choose a place',
  chooseOne: 'Press what shall be the place of the lanes.',
  showsPlace: (label: string) => `The lanes show ${label}.`,
  notAPlaceYet: (label: string) => `${label} is no place yet: it can be made one here.`,
  lock: 'Lock it',
  unlock: 'Unlock it',
  openApp: 'Open an app',
  letHappen: 'Let something happen',
  afar: 'Somebody works on it from afar',
  afarNoMore: 'Nobody works on it from afar any more',
  ring: 'A call comes in',
  anew: 'As at the beginning',
  refuses: (count: number) => `It can’t carry ${String(count)} of what is set`,
  nothingSaid: 'Nothing has happened yet.',
}
