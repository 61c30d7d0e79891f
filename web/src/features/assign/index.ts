export { AssignSheet } from './AssignSheet'
export { spotName, type Chosen } from './chosen'
export { matching } from './search'
