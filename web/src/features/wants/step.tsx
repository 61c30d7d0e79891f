import { aSheet, type StepDefinition } from '../../shared/desk'
import { later } from '../../shared/ui'
import { say } from './step.sentences'

/** What the client wants to be able to do: where the work begins. */
export const wants = {
  id: 'wants',
  name: say.stepName,
  command: say.toStep,
  single: 'W',
  open: (open) => open.wants ?? 0,
  next: ({ id, hosts }) =>
    hosts.every((host) => host.devices.length === 0)
      ? { words: say.nextDevices, to: `/clients/${id}/devices?sheet=new-device` }
      : { words: say.nextButtons, to: `/clients/${id}/assign` },
  View: later(async () => {
    const { WantsStep } = await import('./WantsStep')
    return ({ now: { desk, sheet, go } }) => (
      <WantsStep
        desk={desk}
        chosen={sheet?.of === 'want' ? sheet.id : undefined}
        onChoose={(id) => go({ do: 'open', sheet: { of: 'want', id } })}
        onGive={({ id, place }) => go({ do: 'hand', hand: { of: 'want', id }, place }, 'assign')}
      />
    )
  }, null),
  sheets: {
    want: aSheet<'want'>(async () => {
      const { WantSheet } = await import('./WantSheet')
      return ({ now, sheet, onClose }) => <WantSheet desk={now.desk} want={sheet.id} onClose={onClose} />
    }),
  },
  notices: {},
} as const satisfies StepDefinition
