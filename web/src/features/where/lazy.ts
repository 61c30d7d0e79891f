import { later } from '../../shared/ui'

/** Where and when something else holds; it comes when it is asked for. */
export const WhereView = later(async () => (await import('./WhereView')).WhereView, null)

/** What has no way back. */
export const NoWayBackFound = later(async () => (await import('./NoWayBackFound')).NoWayBackFound, null)

/** What is counted while a mode is held. */
export const CountsHeld = later(async () => (await import('./CountsHeld')).CountsHeld, null)
