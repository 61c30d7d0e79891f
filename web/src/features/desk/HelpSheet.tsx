import { Checkbox, Input } from 'antd'
import { useSingleKeys } from '../../shared/desk'
import { LightChoiceField, SideSheet } from '../../shared/ui'
import { ALL_COMMANDS } from './allCommands'
import styles from './commandBar.module.css'
import { say } from './sentences'

const KEY_WORDS: Record<string, string> = { Control: say.ctrl }
const said = (key: string) =>
  key
    .split('+')
    .map((part) => KEY_WORDS[part] ?? part)
    .join(' + ')

/** Moves that belong to no command. */
const MOVES: [string, string][] = [
  [say.lanesNextPlaceLane, say.arrowKeys],
  [say.boundaryOneStepTen, say.leftRightPageUp],
  [say.boundaryValue, say.itsFiguresThenEnter],
  [say.boundaryNextPlace, say.ctrlArrowKeys],
  [say.stopListening, say.escEsc],
  [say.benchsEdgeHigherLower, say.upDown],
]

/** All keys, and how Kippen looks. */
export function HelpSheet({ onClose }: { onClose: () => void }) {
  const single = useSingleKeys()
  return (
    <SideSheet title={say.keysHowLooks} onClose={onClose}>
      <LightChoiceField />
      <dl className={styles.keys}>
        {Object.entries(ALL_COMMANDS)
          .filter(([, { keys }]) => keys.length > 0)
          .map(([id, { name, keys }]) => (
            <div key={id}>
              <dt>{name}</dt>
              <dd>{keys.map(said).join(', ')}</dd>
            </div>
          ))}
        {MOVES.map(([name, keys]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{keys}</dd>
          </div>
        ))}
      </dl>
      <Checkbox checked={single.on} onChange={(event) => single.switchOn(event.target.checked)}>
        {say.singleKeysTooWithout}
      </Checkbox>
      {single.on && (
        <dl className={styles.keys}>
          {Object.entries(ALL_COMMANDS)
            .filter(([, { single: sign }]) => sign !== undefined)
            .map(([id, { name, single: sign }]) => (
              <div key={id}>
                <dt>
                  <label htmlFor={`single-${id}`}>{name}</label>
                </dt>
                <dd>
                  <Input
                    id={`single-${id}`}
                    value={single.own[id] ?? sign ?? ''}
                    placeholder={say.noSign}
                    onChange={(event) => single.change(id, event.target.value)}
                  />
                </dd>
              </div>
            ))}
        </dl>
      )}
    </SideSheet>
  )
}
