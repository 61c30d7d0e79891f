/** What this part of the page says, ready to be put into another language. */
export const say = {
  confirmedChangeStays: 'Confirmed: the change stays.',
  thereNothingConfirmAny: 'There is nothing to confirm any more.',
  thatDidNotReach: (why: string) =>
    `That did not reach Kippen: it is not known whether anything was changed. ${why}`,
  pressKeepChangeTaken: (names: string, leftMs: string) =>
    `Press ${names} to keep the change. It is taken back in ${leftMs} seconds.`,
  pressKeepChange: (names: string) => `Press ${names} to keep the change`,
  clicksConfirmsFromNow: (name: string) => `It clicks and confirms from now on, in place of ${name}.`,
  left: 'left',
  pressHere: 'Press it here',
  moreTime: 'More time',
  takeBackNow: 'Take it back now',
  afterwardsNoButtonClicks: (host: string, lost: string) =>
    `Afterwards no button clicks or confirms on ${host}: ${lost} did.`,
  afterwardsOneConfirmsWith: 'Afterwards one confirms with',
  pressKeepChangeElse: '. Press it to keep the change; else it is taken back by itself.',
  secondsConfirm: 'Seconds to confirm',
  heardAsAndBound: (heardAs: string) =>
    ` A browser hears it as ${heardAs}; what is bound to it on the bench confirms too.`,
  boundConfirms: ' What is bound to it on the bench confirms too.',
}
