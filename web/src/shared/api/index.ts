export { leftOnPurpose, api, carryToken, must, PAGE, Refused, whenSignedOut } from './client'
export type * from './types'
export { useLowRoom } from './room'
export { lastUsed } from './use'
