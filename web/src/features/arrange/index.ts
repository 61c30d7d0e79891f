export { ArrangeSheet } from './ArrangeSheet'
