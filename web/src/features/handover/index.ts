export { WorksBy } from './lazy'
export { handover } from './step'
