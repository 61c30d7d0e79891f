export { CueBanner } from './CueBanner'
export { giveCue, isQuiet } from './giveCue'
