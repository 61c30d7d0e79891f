export { handover } from './step'
export { WorksBy } from './WorksBy'
