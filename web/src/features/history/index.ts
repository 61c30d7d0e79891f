export { HistorySheet } from './HistorySheet'
export { useSteps } from './useSteps'
