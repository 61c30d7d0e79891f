import { sentences } from '../../shared/text'

/** What the desk says of this step before any of it is there. */
export const say = sentences('devices.step', {
  stepName: 'Devices',
  toStep: 'To Devices',
  nextButtons: 'Next: what each button does',
})
