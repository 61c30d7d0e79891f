export { HandList, type Tick } from './HandList'
