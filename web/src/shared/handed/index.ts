export { canBePut, isMissing, isUnderWay, stands, when } from './states'
export { useHandovers } from './useHandovers'
