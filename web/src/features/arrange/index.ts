export { arrangeSheets } from './sheets'
