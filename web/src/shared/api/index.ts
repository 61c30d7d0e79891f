export { api, carryToken, must, Refused, whenSignedOut } from './client'
export type * from './types'
