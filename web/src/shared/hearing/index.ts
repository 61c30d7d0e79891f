export { plugIn } from './plugIn'
export type { Ear, Heard } from './ear'
export { isPrimary, KEPT_KEYS, onPatch, sourceName, worksControls, worksTheDesk } from './sources'
export { StreamSender, type Ack } from './streamSender'
