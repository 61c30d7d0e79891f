import { aSheet, type StepDefinition } from '../../shared/desk'
import { later } from '../../shared/ui'
import { say } from './step.sentences'

/** What can be got at, at what cost, and which few changes would help most. */
export const reach = {
  id: 'reach',
  name: say.stepName,
  command: say.toStep,
  single: 'R',
  open: () => 0,
  next: () => undefined,
  View: later(async () => {
    const { ReachStep } = await import('./ReachStep')
    return ({ now: { desk, shown, address, go } }) => (
      <ReachStep
        desk={desk}
        shown={shown.map((device) => device.id)}
        without={address.without}
        onWithout={(without) => go({ do: 'without', without })}
        onPropose={() => go({ do: 'open', sheet: { of: 'proposal' } })}
      />
    )
  }, null),
  sheets: {
    proposal: {
      ...aSheet<'proposal'>(async () => {
        const { ProposalSheet } = await import('./ProposalSheet')
        return ({ now, onClose }) => (
          <ProposalSheet
            desk={now.desk}
            buttons={now.buttons}
            onClose={onClose}
            onMeasure={(button) => now.go({ do: 'tune', button }, 'tune')}
          />
        )
      }),
      onlySeen: true,
    },
  },
  notices: { proposal: ['proposal'], sitting: ['reach'], handover: [] },
} as const satisfies StepDefinition
