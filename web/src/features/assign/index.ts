export { AssignSheet } from './AssignSheet'
export type { Chosen } from './chosen'
