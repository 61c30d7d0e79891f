import type { CatalogueAction, Host } from '../../shared/api'
import styles from './assign.module.css'
import { say } from './sentences'

const COST = { nothing: '', nuisance: 'A nuisance. ', serious: 'Serious. ', dangerous: 'Dangerous. ' }

/** What must be known of an action before a client gets it. */
export function ActionFacts({
  action,
  system,
}: {
  action: CatalogueAction
  system: Host['system'] | undefined
}) {
  const lockable = system === 'phone' || system === 'tablet'
  const facts: [string, string | null][] = [
    ['Needs', action.needs],
    [say.thenOneMust, action.after],
    [say.takenBack, action.undo],
    [say.pressedMistake, action.harm.cost === 'nothing' ? null : COST[action.harm.cost] + action.harm.words],
    [say.screenLocked, lockable ? (action.locked.includes(system) ? 'works' : say.doesNotWork) : null],
  ]
  const told = facts.filter(([, words]) => words !== null)
  if (told.length === 0) return null
  return (
    <dl className={styles.facts} aria-label={say.about(action.name)}>
      {told.map(([name, words]) => (
        <div key={name} data-cost={name === say.pressedMistake ? action.harm.cost : undefined}>
          <dt>{name}</dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  )
}
