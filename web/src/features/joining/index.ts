export { JoinPage } from './JoinPage'
export { JoinSheet } from './JoinSheet'
