export { HostPutRight, type CorrectedHost } from './HostPutRight'
export { ClaimsField } from './ClaimsField'
export { devices } from './step'
