import { aSheet, type DeskNow, type StepDefinition } from '../../shared/desk'
import { later } from '../../shared/ui'
import type { Button } from '../../shared/api'
import { say } from './step.sentences'

/** A button is given its tap in the lanes, where its device must be seen. */
function assign({ address: { only }, go }: DeskNow, { ref }: Button) {
  const device = ref.slice(0, ref.indexOf('/'))
  if (only.length > 0 && !only.includes(device)) go({ do: 'only', only: [...only, device] })
  go({ do: 'open', sheet: { of: 'gesture', button: ref, gesture: 'tap', also: [] } }, 'assign')
}

type OfOne = 'device' | 'copy' | 'reset' | 'correct' | 'correct-device' | 'take-up' | 'app' | 'host'

/** A sheet of one thing, by its id. */
const ofOne = <Of extends OfOne>(
  load: () => Promise<(props: { desk: DeskNow['desk']; id: string; onClose: () => void }) => React.ReactNode>,
) =>
  aSheet<Of>(async () => {
    const Sheet = await load()
    return ({ now, sheet, onClose }) => (
      <Sheet desk={now.desk} id={(sheet as { id: string }).id} onClose={onClose} />
    )
  })

/** The client's hosts and devices: put together, got ready, their buttons found. */
export const devices = {
  id: 'devices',
  name: say.stepName,
  command: say.toStep,
  single: 'D',
  open: (open) => open.steps ?? 0,
  next: ({ id, hosts }) =>
    hosts.some((host) => host.devices.length > 0)
      ? { words: say.nextButtons, to: `/clients/${id}/assign` }
      : undefined,
  View: later(async () => {
    const { DevicesStep } = await import('./DevicesStep')
    return ({ now }) => {
      const { desk, shown, address, go } = now
      return (
        <DevicesStep
          desk={desk}
          shown={shown.map((device) => device.id)}
          onSheet={(sheet) => go({ do: 'open', sheet })}
          onAssign={(button) => assign(now, button)}
          view={address.devices}
          onView={(view) => go({ do: 'devices', devices: view })}
        />
      )
    }
  }, null),
  sheets: {
    'new-device': aSheet<'new-device'>(async () => {
      const { AddDeviceSheet } = await import('./AddDeviceSheet')
      return ({ now, onClose }) => (
        <AddDeviceSheet
          desk={now.desk}
          onClose={onClose}
          onCarry={() => now.go({ do: 'open', sheet: { of: 'carry-over' } })}
        />
      )
    }),
    'new-host': aSheet<'new-host'>(async () => {
      const { HostSheet } = await import('./HostSheet')
      return ({ now, onClose }) => <HostSheet desk={now.desk} id={undefined} onClose={onClose} />
    }),
    'new-app': aSheet<'new-app'>(async () => {
      const { AppSheet } = await import('./AppSheet')
      return ({ now, onClose }) => <AppSheet desk={now.desk} id={undefined} onClose={onClose} />
    }),
    device: ofOne<'device'>(async () => (await import('./DeviceSheet')).DeviceSheet),
    copy: ofOne<'copy'>(async () => (await import('./CopySheet')).CopySheet),
    reset: ofOne<'reset'>(async () => (await import('./ResetSheet')).ResetSheet),
    correct: ofOne<'correct'>(async () => (await import('./CorrectSheet')).CorrectSheet),
    'correct-device': ofOne<'correct-device'>(
      async () => (await import('./CorrectDeviceSheet')).CorrectDeviceSheet,
    ),
    'take-up': ofOne<'take-up'>(async () => (await import('./TakeUpSheet')).TakeUpSheet),
    app: ofOne<'app'>(async () => (await import('./AppSheet')).AppSheet),
    host: ofOne<'host'>(async () => (await import('./HostSheet')).HostSheet),
    settings: aSheet<'settings'>(async () => {
      const { SettingsSheet } = await import('../settings')
      return ({ now, sheet, onClose }) => (
        <SettingsSheet desk={now.desk} about={{ of: sheet.about, id: sheet.id }} onClose={onClose} />
      )
    }),
  },
  notices: {},
} as const satisfies StepDefinition
