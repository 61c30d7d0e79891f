import { later } from '../../shared/ui'

/** Where and when something else holds; it comes when it is asked for. */
export const WhereView = later(async () => (await import('./WhereView')).WhereView, null)
