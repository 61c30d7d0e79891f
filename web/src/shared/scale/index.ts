export { linear, type Linear } from './linear'
