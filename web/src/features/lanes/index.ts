export { BoundaryHandle, type BoundaryDraft } from './BoundaryHandle'
export { rowsOfTags, stretchScale, type StretchScale } from './scale'
export { assign } from './step'
