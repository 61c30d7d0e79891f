import { Fragment } from 'react'
import type { CatalogueAction, Host } from '../../shared/api'
import styles from './assign.module.css'

/** What was picked stays in sight when the list gets shorter. */
const keepInSight = (input: HTMLInputElement | null) =>
  input?.closest('label')?.scrollIntoView({ block: 'nearest' })

interface Props {
  actions: CatalogueAction[]
  /** The kind of host the button works; what does not exist there can't be chosen. */
  system: Host['system'] | undefined
  picked: CatalogueAction | undefined
  onPick: (action: CatalogueAction) => void
  words: string
  /** They fit these very words. */
  settled: boolean
}

/** The actions that fit what was typed, by group. */
export function ActionList({ actions, system, picked, onPick, words, settled }: Props) {
  if (actions.length === 0 && words && settled)
    return <p className={styles.none}>No action fits “{words}”. Try other words.</p>
  const here = (action: CatalogueAction) => system === undefined || action.hosts.includes(system)
  const ordered = [...actions.filter(here), ...actions.filter((action) => !here(action))]
  return (
    <fieldset className={styles.list} data-picked={picked !== undefined} aria-busy={!settled}>
      <legend className="seen-by-readers-only">Action</legend>
      {ordered.map((action, index) => {
        const able = here(action)
        // By how well they fit, groups would fall apart.
        const begins = !words && able && action.group !== ordered[index - 1]?.group
        return (
          <Fragment key={action.id}>
            {begins && <p className={styles.group}>{action.group_name}</p>}
            <label className={styles.action} data-able={able}>
              <input
                type="radio"
                name="action"
                disabled={!able}
                checked={picked?.id === action.id}
                ref={picked?.id === action.id ? keepInSight : undefined}
                onChange={() => onPick(action)}
              />
              <span>
                {action.name}
                {action.asks.length > 0 && ' …'}
                {action.app && <small>{action.app}</small>}
                {!able && system && <small>not on a {system}</small>}
              </span>
            </label>
          </Fragment>
        )
      })}
    </fieldset>
  )
}
