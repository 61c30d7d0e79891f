export { ConfirmBar } from './ConfirmBar'
export { Moves } from './Moves'
