export { handover } from './step'
