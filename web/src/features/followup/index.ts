export { followup } from './step'
