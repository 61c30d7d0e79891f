import { later } from '../../shared/ui'

/** Finding out which button is which; it comes when it is asked for. */
export const FindView = later(async () => (await import('./FindView')).FindView, null)
