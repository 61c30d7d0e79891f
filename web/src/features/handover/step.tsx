import { aSheet, type StepDefinition } from '../../shared/desk'
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
    return ({ now: { desk, shown, go } }) => (
      <HandOverStep
        desk={desk}
        shown={shown.map((device) => device.id)}
        onFiles={() => go({ do: 'open', sheet: { of: 'files' } })}
        onList={(id) => go({ do: 'open', sheet: { of: 'by-hand', id } })}
      />
    )
  }, null),
  sheets: {
    'by-hand': {
      ...aSheet<'by-hand'>(async () => {
        const { HandSheet } = await import('./HandSheet')
        return ({ now, sheet, onClose }) => <HandSheet desk={now.desk} id={sheet.id} onClose={onClose} />
      }),
      onlySeen: true,
    },
  },
  notices: {
    handover: ['handovers', 'by-hand'],
    handed: ['handovers', 'bench', 'screens'],
    works: ['bench', 'screens'],
  },
} as const satisfies StepDefinition
