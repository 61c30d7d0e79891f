export { ArrangeSheet } from './ArrangeSheet'
export { PointerSheet } from './PointerSheet'
