import type { StepDefinition } from '../../shared/desk'
import { later } from '../../shared/ui'
import { say } from './step.sentences'

/** The fitting goes onto the devices, and back. */
export const handover = {
  id: 'handover',
  name: say.stepName,
  command: say.toStep,
  single: 'H',
  open: (open) => open.differ ?? 0,
  next: () => undefined,
  View: later(async () => {
    const { HandOverStep } = await import('./HandOverStep')
    return ({ now: { desk, shown } }) => <HandOverStep desk={desk} shown={shown.map((device) => device.id)} />
  }, null),
  sheets: {},
  notices: {
    handover: ['handovers'],
    handed: ['handovers', 'bench', 'screens'],
    works: ['bench', 'screens'],
  },
} as const satisfies StepDefinition
