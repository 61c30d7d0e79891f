export { Fixes } from './Fixes'
