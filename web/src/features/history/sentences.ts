import { counted, fill, sentences } from '../../shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('history', {
  restsOn: counted(
    'Rests on {count, plural, one {# press that is} other {# presses that are}} kept in Tune.',
    'count',
  ),
  revision: fill('Revision {number}', 'number'),
  compareTwo: 'Compare two',
  from: 'From',
  to: 'To',
  thatSameOne: 'That is the same one.',
  whatDiffers: 'What differs',
  showBothLanes: 'Show both in the lanes',
  whatWasSaved: 'What was saved',
  olderOnes: 'Older ones',
  nothingToSee: 'Nothing that can be seen.',
  andMore: fill('{first} And {count} more.', 'first', 'count'),
  changed: 'It changed',
  sinceThen: 'Since then',
  nothingAsNow: 'nothing: it is as it is now',
  bringRevisionBack: fill('Bring revision {number} back', 'number'),
  revisionBack: fill('Revision {number} is back.', 'number'),
  stateKeptWithIts: 'The state is kept with its note.',
  noteHowNow: 'Note on how it is now',
  beforeNewWheelchair: 'before the new wheelchair',
  keepWithThisNote: 'Keep with this note',
  lastChangeTakenBack: 'The last change is taken back.',
  holdsAgain: 'It holds again.',
  nothingDiffers: 'nothing',
})
