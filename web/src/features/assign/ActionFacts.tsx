import type { CatalogueAction, Host } from '../../shared/api'
import styles from './actions.module.css'
import { say } from './sentences'

/** What must be known of an action before a client gets it. */
export function ActionFacts({
  action,
  system,
}: {
  action: CatalogueAction
  system: Host['system'] | undefined
}) {
  const lockable = system === 'phone' || system === 'tablet'
  const facts: [name: string, words: string | null, cost?: string][] = [
    [say.needs, action.needs],
    [say.thenOneMust, action.after],
    [say.takenBack, action.undo],
    [
      say.pressedMistake,
      action.harm.cost === 'nothing' ? null : say.harm(action.harm.cost, action.harm.words),
      action.harm.cost,
    ],
    [say.screenLocked, lockable ? (action.locked.includes(system) ? say.works : say.doesNotWork) : null],
  ]
  const told = facts.filter(([, words]) => words !== null)
  if (told.length === 0) return null
  return (
    <dl className={styles.facts} aria-label={say.about(action.name)}>
      {told.map(([name, words, cost]) => (
        <div key={name} data-cost={cost}>
          <dt>{name}</dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  )
}
