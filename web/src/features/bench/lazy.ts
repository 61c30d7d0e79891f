import { later } from '../../shared/ui'

/** Keeping a press that nobody was asked for. */
export const KeepPress = later(async () => (await import('./KeepPress')).KeepPress, null)
