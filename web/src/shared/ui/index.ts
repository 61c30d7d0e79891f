export { Announcer, useAnnounce } from './Announcer'
export { GestureMark } from './GestureMark'
