import { sentences } from '../../shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('handover.step', {
  stepName: 'Hand over',
  toStep: 'To Hand over',
})
