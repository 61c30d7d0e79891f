import type { Button, Desk } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'
import type { Spot } from '../../shared/fitting'
import { ArrangeSheet, PointerSheet } from '../arrange'
import { AssignSheet, RenameSheet, type Carried, type Chosen } from '../assign'
import { HandSheet } from '../bench'
import { DevicesSheet } from '../devices'
import { HistorySheet } from '../history'
import { JoinSheet } from '../joining'
import type { Compared } from '../lanes'
import { SettingsSheet } from '../settings'
import { WantSheet } from '../wants'
import {
  AnswersSheet,
  CountSheet,
  ModeSheet,
  NewPlaceSheet,
  OpenShortlistSheet,
  PlaceSheet,
  ShortlistSheet,
  TakeModeSheet,
} from '../where'
import { HelpSheet } from './HelpSheet'

interface Props {
  desk: Desk
  sheet: SheetAddress
  /** Of the sheet of a gesture. */
  chosen: Chosen | undefined
  spot: Spot
  onSpot: (spot: Spot) => void
  buttons: Button[]
  onOpen: (sheet: SheetAddress) => void
  onClose: () => void
  onCarry: (carried: Carried) => void
  onCompare: (compared: Compared) => void
}

export function DeskSheet(props: Props) {
  const { desk, sheet, chosen, spot, onSpot, buttons, onOpen, onClose, onCarry, onCompare } = props
  switch (sheet.of) {
    case 'gesture':
      return chosen ? (
        <AssignSheet
          key={[sheet.button, sheet.gesture, ...sheet.also].join(' ')}
          desk={desk}
          spot={spot}
          chosen={chosen}
          onClose={onClose}
          onCarry={onCarry}
        />
      ) : null
    case 'rename': {
      const button = desk.hosts
        .flatMap((host) => host.devices.flatMap((device) => device.buttons))
        .find((one) => one.ref === sheet.button)
      return button ? <RenameSheet key={sheet.button} button={button} onClose={onClose} /> : null
    }
    case 'arrange':
      return <ArrangeSheet desk={desk} onClose={onClose} onPointer={() => onOpen({ of: 'pointer' })} />
    case 'pointer':
      return <PointerSheet desk={desk} spot={spot} onClose={onClose} />
    case 'new-device':
      return <DevicesSheet desk={desk} sheet={{ of: 'new-device' }} onClose={onClose} />
    case 'new-host':
      return <DevicesSheet desk={desk} sheet={{ of: 'host', id: undefined }} onClose={onClose} />
    case 'new-app':
      return <DevicesSheet desk={desk} sheet={{ of: 'app', id: undefined }} onClose={onClose} />
    case 'app':
    case 'device':
    case 'copy':
    case 'reset':
    case 'correct':
    case 'take-up':
    case 'correct-device':
    case 'host':
      return <DevicesSheet desk={desk} sheet={{ of: sheet.of, id: sheet.id }} onClose={onClose} />
    case 'settings': {
      const about = { of: sheet.about, id: sheet.id }
      return <SettingsSheet key={`${sheet.about} ${sheet.id}`} desk={desk} about={about} onClose={onClose} />
    }
    case 'want':
      return <WantSheet desk={desk} want={sheet.id} onClose={onClose} />
    case 'new-place':
      return <NewPlaceSheet desk={desk} onClose={onClose} />
    case 'place':
      return <PlaceSheet desk={desk} id={sheet.id} onClose={onClose} />
    case 'new-mode':
      return <ModeSheet desk={desk} id={undefined} onClose={onClose} />
    case 'mode':
      return <ModeSheet desk={desk} id={sheet.id} onClose={onClose} />
    case 'take-mode':
      return <TakeModeSheet key={sheet.id} desk={desk} id={sheet.id} spot={spot} onClose={onClose} />
    case 'new-shortlist':
      return <ShortlistSheet desk={desk} id={undefined} onClose={onClose} />
    case 'shortlist':
      return <ShortlistSheet desk={desk} id={sheet.id} onClose={onClose} />
    case 'open-shortlist':
      return <OpenShortlistSheet key={sheet.id} desk={desk} id={sheet.id} spot={spot} onClose={onClose} />
    case 'count':
      return <CountSheet desk={desk} buttons={buttons} onClose={onClose} />
    case 'answers':
      return <AnswersSheet desk={desk} buttons={buttons} spot={spot} onSpot={onSpot} onClose={onClose} />
    case 'join':
      return <JoinSheet desk={desk} onClose={onClose} />
    case 'hand':
      return <HandSheet desk={desk} buttons={buttons} onClose={onClose} />
    case 'help':
      return <HelpSheet onClose={onClose} />
    case 'history':
      return <HistorySheet desk={desk} onClose={onClose} onCompare={onCompare} />
  }
}
