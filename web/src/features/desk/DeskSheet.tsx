import type { Button, Desk } from '../../shared/api'
import type { Spot } from '../../shared/fitting'
import { ArrangeSheet } from '../arrange'
import { AssignSheet, RenameSheet, type Carried, type Chosen } from '../assign'
import { HandSheet } from '../bench'
import { DevicesSheet, type DevicesSheetOf } from '../devices'
import { HistorySheet } from '../history'
import { JoinSheet } from '../joining'
import type { Compared } from '../lanes'
import { SettingsSheet, type SettingsOf } from '../settings'
import { WantSheet } from '../wants'

/** What the side sheet is about; each belongs to a step, but those of bench and history. */
export type Sheet =
  | { step: 'assign'; of: 'gesture'; chosen: Chosen }
  | { step: 'assign'; of: 'rename'; button: Button }
  | { step: 'assign'; of: 'arrange' }
  | { step: 'devices'; of: 'device'; sheet: DevicesSheetOf }
  | { step: 'devices'; of: 'settings'; about: SettingsOf }
  | { step: 'wants'; of: 'want'; want: string }
  | { step: 'any'; of: 'join' | 'hand' | 'history' }

interface Props {
  desk: Desk
  sheet: Sheet
  spot: Spot
  buttons: Button[]
  onClose: () => void
  onCarry: (carried: Carried) => void
  onCompare: (compared: Compared) => void
}

export function DeskSheet({ desk, sheet, spot, buttons, onClose, onCarry, onCompare }: Props) {
  switch (sheet.of) {
    case 'gesture': {
      const { button, gesture, also = [] } = sheet.chosen
      return (
        <AssignSheet
          key={`${button.ref} ${gesture} ${String(also.length)}`}
          desk={desk}
          spot={spot}
          chosen={sheet.chosen}
          onClose={onClose}
          onCarry={onCarry}
        />
      )
    }
    case 'rename':
      return <RenameSheet key={sheet.button.ref} button={sheet.button} onClose={onClose} />
    case 'arrange':
      return <ArrangeSheet desk={desk} onClose={onClose} />
    case 'device':
      return <DevicesSheet desk={desk} sheet={sheet.sheet} onClose={onClose} />
    case 'settings':
      return (
        <SettingsSheet
          key={`${sheet.about.of} ${sheet.about.id}`}
          desk={desk}
          about={sheet.about}
          onClose={onClose}
        />
      )
    case 'want':
      return <WantSheet desk={desk} want={sheet.want} onClose={onClose} />
    case 'join':
      return <JoinSheet desk={desk} onClose={onClose} />
    case 'hand':
      return <HandSheet desk={desk} buttons={buttons} onClose={onClose} />
    case 'history':
      return <HistorySheet desk={desk} onClose={onClose} onCompare={onCompare} />
  }
}
