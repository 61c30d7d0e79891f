export { ScreenPane } from './ScreenPane'
export { useScreens } from './useScreens'
