import type { Desk } from '../../shared/api'
import { AddDeviceSheet } from './AddDeviceSheet'
import { AppSheet } from './AppSheet'
import { CopySheet } from './CopySheet'
import { CorrectDeviceSheet } from './CorrectDeviceSheet'
import { CorrectSheet } from './CorrectSheet'
import { DeviceSheet } from './DeviceSheet'
import type { DevicesSheetOf } from './DevicesStep'
import { HostSheet } from './HostSheet'
import { ResetSheet } from './ResetSheet'
import { TakeUpSheet } from './TakeUpSheet'

interface Props {
  desk: Desk
  sheet: DevicesSheetOf
  onClose: () => void
}

/** What of the devices is open in the side sheet. */
export function DevicesSheet({ desk, sheet, onClose }: Props) {
  switch (sheet.of) {
    case 'new-device':
      return <AddDeviceSheet desk={desk} onClose={onClose} />
    case 'device':
      return <DeviceSheet desk={desk} id={sheet.id} onClose={onClose} />
    case 'copy':
      return <CopySheet key={sheet.id} desk={desk} id={sheet.id} onClose={onClose} />
    case 'reset':
      return <ResetSheet key={sheet.id} desk={desk} id={sheet.id} onClose={onClose} />
    case 'correct':
      return <CorrectSheet key={sheet.id} desk={desk} id={sheet.id} onClose={onClose} />
    case 'correct-device':
      return <CorrectDeviceSheet key={sheet.id} desk={desk} id={sheet.id} onClose={onClose} />
    case 'take-up':
      return <TakeUpSheet key={sheet.id} desk={desk} id={sheet.id} onClose={onClose} />
    case 'app':
      return <AppSheet key={sheet.id} desk={desk} id={sheet.id} onClose={onClose} />
    case 'host':
      return <HostSheet key={sheet.id} desk={desk} id={sheet.id} onClose={onClose} />
  }
}
