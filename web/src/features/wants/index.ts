export { WantSheet } from './WantSheet'
export { WantsStep } from './WantsStep'
