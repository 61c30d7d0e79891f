export { Lanes } from './Lanes'
