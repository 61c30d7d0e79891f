export { BoundaryHandle, type BoundaryDraft } from './BoundaryHandle'
export { StretchRegions } from './StretchRegions'
export { rowsOfTags, stretchScale, type StretchScale } from './scale'
export { assign } from './step'
