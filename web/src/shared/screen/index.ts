export { ScreenPicture } from './ScreenPicture'
export { soonest } from './soonest'
