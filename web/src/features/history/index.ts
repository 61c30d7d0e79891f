export { historySheets } from './sheets'
export { useSteps } from './useSteps'
