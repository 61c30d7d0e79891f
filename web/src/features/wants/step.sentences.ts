import { sentences } from '../../shared/text'

/** What the desk says of this step before any of it is there. */
export const say = sentences('wants.step', {
  stepName: 'Wants',
  toStep: 'To Wants',
  nextDevices: 'Next: the devices they can work',
  nextButtons: 'Next: what each button does',
})
