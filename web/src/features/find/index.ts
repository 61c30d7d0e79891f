export { FindView } from './FindView'
