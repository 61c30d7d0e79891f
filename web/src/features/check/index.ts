export { check } from './step'
