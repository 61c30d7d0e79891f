import { Button } from 'antd'
import type { DeviceHas } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { MenuButton, type MenuItem } from '../../shared/ui'
import type { What } from './queries'
import { say } from './sentences'
import { canBePut, isUnderWay, stands, when } from '../../shared/handed'
import styles from './handover.module.css'

interface Props {
  has: DeviceHas
  name: string
  /** The one that would be put on it. */
  revision: number
  onAsk: (what: What) => void
  onStop: () => void
  /** What it has, by its own word. */
  onQuestion: () => void
  onReach: (reach: boolean) => void
  onByHand: (byHand: boolean) => void
  onList: () => void
}

/** One device: what is on it, what would be another, and what can be done. */
export function HasRow(props: Props) {
  const { has, name } = props
  const { brought, away_since: away, error, differs } = has
  const under = isUnderWay(has)
  return (
    <article className={styles.device} aria-label={name} data-device={has.device} data-state={has.state}>
      <h3>{name}</h3>
      <div className={styles.state}>
        <p className={styles.stands}>
          <strong>{stands(has)}</strong>
          {brought && !under && <small>{say.since(when(brought.since), brought.by)}</small>}
        </p>
        {away && <p data-away>{say.outOfReach(when(away))}</p>}
        {error && <p role="alert">{say.failed(error)}</p>}
        {differs.length > 0 && !under && <Differs differs={differs} name={name} />}
        {under && <progress max={Math.max(has.of, 1)} value={has.done} aria-label={stands(has)} />}
        {has.state === 'by_hand' && has.by_hand && (
          <progress max={Math.max(has.by_hand.of, 1)} value={has.by_hand.set} aria-label={stands(has)} />
        )}
      </div>
      <Actions {...props} />
    </article>
  )
}

function Differs({ differs, name }: { differs: string[]; name: string }) {
  return (
    <details>
      <summary aria-label={say.differencesOn(differs.length, name)}>
        {say.differences(differs.length)}
      </summary>
      <ul>
        {differs.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    </details>
  )
}

function Actions({ has, name, revision, onAsk, onStop, onQuestion, onReach, onByHand, onList }: Props) {
  const mayChange = useMayChange()
  const list = has.by_hand && (
    <Button type={has.state === 'by_hand' ? 'primary' : 'default'} onClick={onList}>
      {has.state === 'by_hand' && mayChange ? say.goOn : say.lookList}
    </Button>
  )
  if (!mayChange) return <div className={styles.actions}>{list}</div>
  const waits = has.state === 'away' || has.state === 'broken_off'
  const { back } = has
  const byHand: MenuItem = has.by_hand
    ? { key: 'by-hand', label: say.setByKippen, onChoose: () => onByHand(false) }
    : { key: 'by-hand', label: say.setByHand, onChoose: () => onByHand(true) }
  const standIn: MenuItem[] = [
    ...(has.seen === null ? [] : [{ key: 'empty', label: say.empty, onChoose: () => onAsk('empty') }]),
    has.away_since
      ? { key: 'reach', label: say.comeBack, onChoose: () => onReach(true) }
      : { key: 'reach', label: say.goAway, onChoose: () => onReach(false) },
  ]
  return (
    <div className={styles.actions}>
      {list}
      {canBePut(has) && (
        <Button type="primary" aria-label={say.putOn(String(revision), name)} onClick={() => onAsk('put')}>
          {say.put}
        </Button>
      )}
      {has.state === 'unknown' && (
        <Button type="primary" aria-label={say.questionTo(name)} onClick={onQuestion}>
          {say.question}
        </Button>
      )}
      {(isUnderWay(has) || waits) && (
        <Button aria-label={say.stopOn(name)} onClick={onStop}>
          {say.stop}
        </Button>
      )}
      {back !== null && !has.by_hand && !isUnderWay(has) && !waits && has.state !== 'unknown' && (
        <Button onClick={() => onAsk('back')}>{say.backTo(String(back))}</Button>
      )}
      <MenuButton label={say.more(name)} items={has.by_hand ? [byHand] : [...standIn, byHand]}>
        ⋯
      </MenuButton>
    </div>
  )
}
