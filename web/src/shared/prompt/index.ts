export { BigPrompt } from './BigPrompt'
export { useGoesOn, PACES, type Pace } from './useGoesOn'
