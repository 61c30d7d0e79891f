import { aSheet, type StepDefinition } from '../../shared/desk'
import { later } from '../../shared/ui'
import { say } from './step.sentences'

/** What is wrong with the fitting before it goes on the devices. */
export const check = {
  id: 'check',
  name: say.stepName,
  command: say.toStep,
  single: 'C',
  open: (open) => open.serious ?? 0,
  next: () => undefined,
  View: later(async () => {
    const { CheckStep } = await import('./CheckStep')
    return ({ now: { desk, sheet, go } }) => (
      <CheckStep
        desk={desk}
        chosen={sheet?.of === 'finding' ? sheet.id : undefined}
        onChoose={(id) => go({ do: 'open', sheet: { of: 'finding', id } })}
      />
    )
  }, null),
  sheets: {
    finding: {
      ...aSheet<'finding'>(async () => {
        const { FindingSheet } = await import('./FindingSheet')
        return ({ now, sheet, onClose }) => <FindingSheet desk={now.desk} id={sheet.id} onClose={onClose} />
      }),
      onlySeen: true,
    },
  },
  notices: { sitting: ['check'] },
} as const satisfies StepDefinition
