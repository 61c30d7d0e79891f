import { aSheet } from '../../shared/desk'
import { chosenOf } from './chosen'

/** What one gesture of one button, or of several, does; and what a button is called. */
export const assignSheets = {
  gesture: aSheet<'gesture'>(async () => {
    const { AssignSheet } = await import('./AssignSheet')
    return ({ now: { desk, devices, spot, go }, sheet, onClose }) => {
      const chosen = chosenOf(devices, sheet)
      return chosen ? (
        <AssignSheet
          desk={desk}
          spot={spot}
          chosen={chosen}
          onClose={onClose}
          onCarry={(gesture, copy) =>
            go({ do: 'hand', hand: { of: 'chip', button: sheet.button, gesture, copy } })
          }
        />
      ) : null
    }
  }),
  rename: aSheet<'rename'>(async () => {
    const { RenameSheet } = await import('./RenameSheet')
    return ({ now, sheet, onClose }) => {
      const button = now.devices.flatMap((one) => one.buttons).find((one) => one.ref === sheet.button)
      return button ? <RenameSheet button={button} onClose={onClose} /> : null
    }
  }),
}
