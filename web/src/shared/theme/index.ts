export { colours } from './colours'
export { theme } from './theme'
