export { handover } from './step'
export { useHandovers } from './queries'
export { stands } from './states'
export { WorksBy } from './WorksBy'
