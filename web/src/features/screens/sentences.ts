import { fill, sentences } from '../../shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('screens', {
  screenOf: fill('Stand-in {name}', 'name'),
  whichHost: 'Which host',
  choosePlace: 'Choose a place',
  chooseOne: 'Press what shall be the place of the lanes.',
  showsPlace: fill('The lanes show {label}.', 'label'),
  notAPlaceYet: fill('{label} is no place yet: it can be made one here.', 'label'),
  lock: 'Lock it',
  unlock: 'Unlock it',
  openApp: 'Open an app',
  letHappen: 'Let something happen',
  afar: 'Somebody works on it from afar',
  afarNoMore: 'Nobody works on it from afar any more',
  ring: 'A call comes in',
  anew: 'As at the beginning',
  refuses: fill('It can’t carry {count} of what is set', 'count'),
  nothingSaid: 'Nothing has happened yet.',
})
