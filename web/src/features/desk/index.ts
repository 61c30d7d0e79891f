export { DeskPage } from './DeskPage'
