import type { StepDefinition } from '../../shared/desk'
import { later } from '../../shared/ui'
import { say } from './step.sentences'

/** What became of it since last time. */
export const followup = {
  id: 'followup',
  name: say.stepName,
  command: say.toStep,
  single: 'U',
  open: () => 0,
  next: () => undefined,
  View: later(async () => {
    const { FollowUpStep } = await import('./FollowUpStep')
    return ({ now: { desk } }) => <FollowUpStep desk={desk} />
  }, null),
  sheets: {},
  notices: { handed: ['handovers'] },
} as const satisfies StepDefinition
