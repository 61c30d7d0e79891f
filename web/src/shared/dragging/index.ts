export { Dragging } from './Dragging'
