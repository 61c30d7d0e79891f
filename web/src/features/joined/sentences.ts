import { fill, sentences } from '../../shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('joined', {
  letThisDeviceListen: 'Let this device listen',
  kippenCantReachedJust: 'Kippen can’t be reached just now',
  thisDeviceJoinedStill: 'This device is joined still. It tries again by itself.',
  leave: 'Leave',
  setOn: fill('To be set on {device}', 'device'),
  whatIsSet: 'What is to be set',
  wasEndedOtherSide: 'It was ended at the other side, or has lapsed. Ask for a new code.',
  sixCharactersShownOther: 'The six characters shown on the other screen',
  whatThisDeviceCalled: 'What this device is called there',
  join: 'Join',
  willSendPressesIts: 'It will send the presses of its buttons, and can see nothing of the other side.',
  listeningFor: fill('Listening for {host}', 'host'),
  stopListeningEscEsc: 'Stop listening (Esc, Esc)',
  pressButton: 'Press a button',
  keysHeardAnywhereFinger: 'Keys are heard anywhere, finger, pen and wheel on the large patch.',
  thisPageCameWithout:
    'This page came without https: here a browser hides gamepads and whatever looks like one. Their buttons can only be heard on the machine that Kippen runs on.',
  down: 'down',
  up: 'up',
  phone: 'Phone',
  tablet: 'Tablet',
  computer: 'Computer',
})
