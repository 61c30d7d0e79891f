export { BoundaryHandle, type BoundaryDraft } from './BoundaryHandle'
export { rowsOfTags, stretchScale, type StretchScale } from './scale'
export { Lanes } from './Lanes'
export { LanesCompared, type Compared } from './LanesCompared'
