import { later } from '../../shared/ui'

export { useScreens } from './useScreens'

/** The stand-in hosts of a client; it comes when it is asked for. */
export const ScreenPane = later(async () => (await import('./ScreenPane')).ScreenPane, null)
