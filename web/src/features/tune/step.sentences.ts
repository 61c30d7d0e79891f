import { sentences } from '../../shared/text'

/** What the desk says of this step before any of it is there. */
export const say = sentences('tune.step', {
  stepName: 'Tune',
  toStep: 'To Tune',
})
