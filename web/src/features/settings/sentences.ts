import { fill, sentences } from '../../shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('settings', {
  allOfThem: 'all of them',
  settings: fill('Settings of {name}', 'name'),
  thereNothingSetBut: 'There is nothing to set but its buttons.',
  set: fill('{name} is set.', 'name'),
  notSetUsual: fill('Not set; usual is {setting}.', 'setting'),
  costs: 'It costs:',
  leaveAsCame: 'Leave it as it came',
  leaveAsCameWithName: fill('Leave {name} as it came', 'name'),
  on: 'on',
  off: 'off',
})
