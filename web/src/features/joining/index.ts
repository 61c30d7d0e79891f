export { JoinSheet } from './JoinSheet'
