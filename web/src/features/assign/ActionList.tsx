import type { CatalogueAction, Host } from '../../shared/api'
import styles from './assign.module.css'
import actionsStyles from './actions.module.css'
import { say } from './sentences'

/** What was picked stays in sight when the list gets shorter. */
const keepInSight = (input: HTMLInputElement | null) =>
  input?.closest('label')?.scrollIntoView({ block: 'nearest' })

interface Props {
  actions: CatalogueAction[]
  /** Those that the client still waits for; where nothing was typed they stand first. */
  wanted: CatalogueAction[]
  /** The kind of host the button works; what does not exist there can't be chosen. */
  system: Host['system'] | undefined
  picked: CatalogueAction | undefined
  onPick: (action: CatalogueAction) => void
  words: string
  /** They fit these very words. */
  settled: boolean
}

interface Group {
  name: string
  actions: CatalogueAction[]
}

/** By group, in the order in which they come. */
function grouped(actions: CatalogueAction[]): Group[] {
  const groups = new Map<string, Group>()
  for (const action of actions) {
    const group = groups.get(action.group) ?? { name: action.group_name, actions: [] }
    group.actions.push(action)
    groups.set(action.group, group)
  }
  return [...groups.values()]
}

/** The actions that fit what was typed, the likeliest first; all by group where nothing was. */
export function ActionList(props: Props) {
  const { actions, wanted, system, picked, onPick, words, settled } = props
  if (actions.length === 0 && words && settled)
    return <p className={styles.none}>{say.noActionFitsTryOther(words)}</p>
  const here = (action: CatalogueAction) => system === undefined || action.hosts.includes(system)
  const missing = wanted.filter(here)
  const ordered = [...actions.filter(here), ...actions.filter((action) => !here(action))]
  const row = (action: CatalogueAction) => (
    <ActionRow
      key={action.id}
      action={action}
      system={system}
      able={here(action)}
      picked={picked?.id === action.id}
      onPick={onPick}
    />
  )
  return (
    <fieldset className={actionsStyles.list} data-picked={picked !== undefined} aria-busy={!settled}>
      <legend className="seen-by-readers-only">{say.action}</legend>
      {words
        ? ordered.map(row)
        : [
            ...(missing.length > 0 ? [{ name: say.stillWithoutButton, actions: missing }] : []),
            ...grouped(ordered.filter((action) => !missing.includes(action))),
          ].map((group) => (
            <div key={group.name} role="group" aria-label={group.name}>
              <p className={actionsStyles.group}>{group.name}</p>
              {group.actions.map(row)}
            </div>
          ))}
    </fieldset>
  )
}

interface RowProps {
  action: CatalogueAction
  system: Host['system'] | undefined
  able: boolean
  picked: boolean
  onPick: (action: CatalogueAction) => void
}

function ActionRow({ action, system, able, picked, onPick }: RowProps) {
  return (
    <label className={actionsStyles.action} data-able={able}>
      <input
        type="radio"
        name="action"
        disabled={!able}
        checked={picked}
        ref={picked ? keepInSight : undefined}
        onChange={() => onPick(action)}
      />
      <span>
        {action.name}
        {action.asks.length > 0 && ' …'}
        {action.app && <small>{action.app}</small>}
        {!able && system && <small>{say.not(system)}</small>}
      </span>
    </label>
  )
}
