export { joiningSheets } from './sheets'
