import { sentences } from '../../shared/text'

/** What the desk says of this step before any of it is there. */
export const say = sentences('reach.step', {
  stepName: 'Reach',
  toStep: 'To Reach',
})
