export { ScreenPicture } from './ScreenPicture'
