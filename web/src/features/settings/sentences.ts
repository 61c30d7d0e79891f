/** What this part of the page says, ready to be put into another language. */
export const say = {
  allOfThem: 'all of them',
  settings: (name: string) => `Settings of ${name}`,
  thereNothingSetBut: 'There is nothing to set but its buttons.',
  set: (name: string) => `${name} is set.`,
  notSetUsual: (setting: string) => `Not set; usual is ${setting}.`,
  costs: 'It costs:',
  leaveAsCame: 'Leave it as it came',
  leaveAsCameWithName: (name: string) => `Leave ${name} as it came`,
}
