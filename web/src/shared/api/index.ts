export { api, must, Refused } from './client'
export type * from './types'
