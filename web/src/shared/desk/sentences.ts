import { sentences } from '../text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('shared.desk', {
  whatWouldItDo: 'What would it do?',
  pointer: 'Move the pointer with buttons',
  places: 'To Places',
  modes: 'To Modes',
  shortlists: 'To Shortlists',
  cues: 'To Cues',
  findAnythingDo: 'Find anything and do it',
  allKeysHowLooks: 'All keys, and how it looks',
  takeLastChangeBack: 'Take the last change back',
  makeAgain: 'Make it again',
  startListeningStop: 'Start listening, or stop',
  files: 'Files: take out and take in',
  carryOver: 'Carry devices over from another client or host',
  whatWasSaved: 'What was saved',
  printWhatShown: 'Print what is shown',
  nextPane: 'To the next pane',
  paneBefore: 'To the pane before',
  nameTimesButton: 'Name and times of the button',
  takeActionOff: 'Take the action off',
  carryElsewhere: 'Carry it elsewhere',
  carryCopyElsewhere: 'Carry a copy elsewhere',
  putWhatCarriedHere: 'Put what is carried here',
})
