import { later } from '../../shared/ui'

/** What an action asks besides; most ask nothing. */
export const AskFields = later(async () => (await import('./AskFields')).AskFields, null)
