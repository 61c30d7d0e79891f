import { later } from '../../shared/ui'

/** Said beside the bench and the screens, where it is another than usual or asked for. */
export const WorksBy = later(async () => (await import('./WorksBy')).WorksBy, null, true)
