import type { CatalogueAction } from '../../shared/api'

/** The actions in which every word is found, in any order, at the beginning of some word. */
export function matching(actions: CatalogueAction[], words: string): CatalogueAction[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
  return actions.filter((action) => {
    const has = `${action.name} ${action.app ?? ''} ${action.words}`.toLowerCase().split(/\s+/)
    return wanted.every((word) => has.some((one) => one.startsWith(word)))
  })
}
