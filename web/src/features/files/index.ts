export { filesSheets } from './sheets'
