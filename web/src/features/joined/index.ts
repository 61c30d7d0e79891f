export { JoinPage } from './JoinPage'
