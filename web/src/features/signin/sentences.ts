import { fill, sentences } from '../../shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('signin', {
  setUpYourOwn: 'Set up your own service',
  nameService: 'Name of the service',
  yourName: 'Your name',
  youWillItsFirst: 'You will be its first lead.',
  yourAddress: 'Your address',
  password: 'A password',
  charactersMore: fill('{leastPassword} characters or more.', 'leastPassword'),
  setUp: 'Set it up',
  whatBeingWrittenStays: fill('{at} What is being written stays here.', 'at'),
  staySigned: 'Stay signed in',
  signAgainKippen: 'Sign in again · Kippen',
  kippen: 'Kippen',
  signedOut: 'Signed out',
  wasSignedOutWhoever: fill(
    '{name} was signed out. Whoever signs in again as {email} goes on where it was left, with what was being written.',
    'name',
    'email',
  ),
  openDemoAsSpecialist: 'Open the demo as a specialist',
  openDemoAsLead: 'Open the demo as a lead',
  openDemoAsViewer: 'Open the demo as a viewer',
  eMailAddress: 'E-mail address',
  passwordAlone: 'Password',
  sign: 'Sign in',
  madeUpSaltmarshRow: 'The made-up Saltmarsh Row service',
  whatEachButtonDoes: 'What each button does, how long a press may take, and why that just happened.',
  signedOutAt: fill('Nothing was done here for long: at {time} you are signed out.', 'time'),
  signInAgainAt: fill('At {time}, after a whole day, you must sign in again.', 'time'),
})
