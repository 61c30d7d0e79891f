import type { DeviceFacts } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'
import { useChange } from '../../shared/fitting'
import type { MenuItem } from '../../shared/ui'
import { say } from './sentences'

/** What else can be done with a device. */
export function useDeviceMenu(
  device: DeviceFacts,
  onSheet: (sheet: SheetAddress) => void,
  onBattery: () => void,
): MenuItem[] {
  const { change } = useChange()
  const { id, name, off } = device
  return [
    {
      key: 'settings',
      label: say.settings,
      onChoose: () => onSheet({ of: 'settings', about: 'device', id }),
    },
    { key: 'change', label: say.change, onChoose: () => onSheet({ of: 'device', id }) },
    { key: 'battery', label: say.noteBattery, onChoose: onBattery },
    { key: 'copy', label: say.copyMirrorAlone, onChoose: () => onSheet({ of: 'copy', id }) },
    { key: 'reset', label: say.backHowCame, onChoose: () => onSheet({ of: 'reset', id }) },
    {
      key: 'off',
      label: off ? say.switch : say.switchOff,
      onChoose: () =>
        void change(
          { kind: 'device', device: id, set: { off: !off } },
          off ? say.isOn(name) : say.isOff(name),
        ),
    },
    {
      key: 'out',
      label: say.takeOut,
      onChoose: () => void change({ kind: 'take_out', id }, say.takenOutCanBrought(name)),
    },
  ]
}
