export { DevicesSheet } from './DevicesSheet'
export { DevicesStep, type DevicesSheetOf } from './DevicesStep'
