import type { Action, CatalogueAction } from '../../shared/api'
import { actionOf, usual } from './assigning'

/** An action being chosen: an entry with what was said to what it asks, or one that is in no list and stays as it is. */
export interface ActionChoice {
  picked: CatalogueAction | undefined
  answers: Record<string, unknown>
  asItIs: Action | undefined
}

export const choose = (picked: CatalogueAction | undefined): ActionChoice => ({
  picked,
  answers: picked ? usual(picked.asks) : {},
  asItIs: undefined,
})

/** What was chosen before: the entry that says most of it. */
export function choiceOf(action: Action | null, actions: CatalogueAction[]): ActionChoice {
  if (!action) return choose(undefined)
  const given: Record<string, unknown> = { ...action }
  const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other)
  const fits = (entry: CatalogueAction) => {
    const members: Record<string, unknown> = { ...entry.action }
    const asked = entry.asks.map((ask) => ask.member)
    return (
      Object.keys(members).every((member) => same(members[member], given[member])) &&
      Object.keys(given).every((member) => member in members || asked.includes(member))
    )
  }
  const [picked] = actions
    .filter(fits)
    .sort((one, other) => Object.keys(other.action).length - Object.keys(one.action).length)
  if (!picked) return { picked: undefined, answers: {}, asItIs: action }
  const answers = Object.fromEntries(
    picked.asks
      .map(({ member }) => [member, given[member]] as const)
      .filter(([, value]) => value !== undefined),
  )
  return { picked, answers: { ...usual(picked.asks), ...answers }, asItIs: undefined }
}

/** The action; null where none is known, undefined while something it needs is missing. */
export function meant(choice: ActionChoice): Action | null | undefined {
  return choice.picked ? actionOf(choice) : (choice.asItIs ?? null)
}
