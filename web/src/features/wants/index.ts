export { wants } from './step'
