export { tune } from './step'
