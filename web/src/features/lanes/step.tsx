import type { StepDefinition } from '../../shared/desk'
import { later } from '../../shared/ui'
import { arrangeSheets } from '../arrange'
import { assignSheets } from '../assign'
import { WHERE_VIEWS, whereSheets } from '../where'
import { say } from './step.sentences'

/** What each button does, and where and when something else. */
export const assign = {
  id: 'assign',
  name: say.stepName,
  command: say.toStep,
  single: 'A',
  open: () => 0,
  next: () => undefined,
  View: later(async () => (await import('./AssignStep')).AssignStep, null),
  sheets: { ...assignSheets, ...arrangeSheets, ...whereSheets },
  commands: ({ go }, mayChange) => ({
    ...(mayChange ? { pointer: () => go({ do: 'open', sheet: { of: 'pointer' } }, 'assign') } : {}),
    ...Object.fromEntries(WHERE_VIEWS.map((view) => [view, () => go({ do: 'view', view }, 'assign')])),
  }),
  notices: {},
} as const satisfies StepDefinition
