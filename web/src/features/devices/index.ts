export { HostPutRight, type CorrectedHost } from './HostPutRight'
export { ClaimsField } from './ClaimsField'
export { DevicesSheet } from './DevicesSheet'
export { DevicesStep, type DevicesSheetOf } from './DevicesStep'
