import { later } from '../../shared/ui'

/** What opens in a device’s row. */
export const ButtonsTable = later(async () => (await import('./ButtonsTable')).ButtonsTable, null)
export const BatteryNote = later(async () => (await import('./BatteryNote')).BatteryNote, null)
