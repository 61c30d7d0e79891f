import type { View } from '../../shared/desk'

/** What is shown of where and when something else holds. */
export const WHERE_VIEWS = ['places', 'modes', 'shortlists', 'cues'] as const
export type WhereOf = (typeof WHERE_VIEWS)[number]

export const isWhere = (view: View): view is WhereOf => (WHERE_VIEWS as readonly string[]).includes(view)
