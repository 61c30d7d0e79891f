import { fill, sentences } from '../../shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('confirm', {
  confirmedChangeStays: 'Confirmed: the change stays.',
  thereNothingConfirmAny: 'There is nothing to confirm any more.',
  thatDidNotReach: fill(
    'That did not reach Kippen: it is not known whether anything was changed. {why}',
    'why',
  ),
  pressKeepChangeTaken: fill(
    'Press {names} to keep the change. It is taken back in {leftMs} seconds.',
    'names',
    'leftMs',
  ),
  pressKeepChange: fill('Press {names} to keep the change', 'names'),
  clicksConfirmsFromNow: fill('It clicks and confirms from now on, in place of {name}.', 'name'),
  left: 'left',
  pressHere: 'Press it here',
  moreTime: 'More time',
  takeBackNow: 'Take it back now',
  afterwardsNoButtonClicks: fill(
    'Afterwards no button clicks or confirms on {host}: {lost} did.',
    'host',
    'lost',
  ),
  afterwardsOneConfirmsWith: fill(
    'Afterwards one confirms with {names}. Press it to keep the change; else it is taken back by itself.',
    'names',
  ),
  secondsConfirm: 'Seconds to confirm',
  heardAsAndBound: fill(
    'A browser hears it as {heardAs}; what is bound to it on the bench confirms too.',
    'heardAs',
  ),
  boundConfirms: 'What is bound to it on the bench confirms too.',
  heard: 'Heard.',
  seconds: fill('{count} s', 'count'),
})
