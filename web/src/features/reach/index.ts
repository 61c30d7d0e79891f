export { reach } from './step'
