export { Lanes } from './Lanes'
export { LanesCompared, type Compared } from './LanesCompared'
