import { Button } from 'antd'
import type { Mode, ModeWay } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { GestureMark } from '../../shared/ui'
import { Counts } from './Counts'
import { say } from './sentences'
import styles from './where.module.css'

/** One mode: how one gets in and out of it, and what is counted while it is held. */
export function ModeCard(props: {
  mode: Mode
  onChange: () => void
  onShow: () => void
  onGive: () => void
}) {
  const { mode, onChange, onShow, onGive } = props
  const mayChange = useMayChange()
  return (
    <li className={styles.card}>
      <div className={styles.row}>
        <p>
          <strong>{mode.name}</strong>
          <small>
            {[say.assigned(mode.assigned), say.saysOfTheRest(say.otherwiseWords[mode.otherwise])].join(' · ')}
          </small>
        </p>
        <Button aria-label={say.showLanesOf(mode.name)} onClick={onShow}>
          {say.showLanes}
        </Button>
        {mayChange && (
          <>
            <Button
              type={mode.ways_in.length === 0 ? 'primary' : 'default'}
              aria-label={say.giveButtonTo(mode.name)}
              onClick={onGive}
            >
              {say.giveButton}
            </Button>
            <Button aria-label={say.changeOf(mode.name)} onClick={onChange}>
              {say.change}
            </Button>
          </>
        )}
      </div>
      {mode.ways_in.length === 0 ? (
        <p className={styles.quiet}>{say.nothingTakesIt}</p>
      ) : (
        <Ways mode={mode} />
      )}
      {mode.counts.length > 0 && <Counts counts={mode.counts} />}
      {mode.counts.length > 0 && <HowItCounts mode={mode} />}
    </li>
  )
}

/** Within the tap gap, or at any pace: a mode that was made before is asked about. */
function HowItCounts({ mode }: { mode: Mode }) {
  const mayChange = useMayChange()
  const { change } = useChange()
  if (mode.counting === 'while_held') return null
  const atAnyPace = () => {
    const { id, name } = mode
    void change({ kind: 'mode', mode: { id, name, counting: 'while_held' } }, say.countsWhileHeld(name))
  }
  return (
    <p className={styles.row}>
      {say.countsByGap}
      {mayChange && (
        <Button aria-label={say.countWhileHeldOf(mode.name)} onClick={atAnyPace}>
          {say.countWhileHeld}
        </Button>
      )}
    </p>
  )
}

/** From usual into the mode and out of it, drawn as it is read. */
function Ways({ mode }: { mode: Mode }) {
  const how = [...new Set(mode.ways_in.map((way) => way.how))].map((one) => say.how[one]).join(', ')
  const from = named(mode.ways_in.map((way) => way.from))
  const held = mode.ways_in.some((way) => way.how === 'held')
  const next = mode.ways_in.some((way) => way.how === 'latch')
  return (
    <div className={styles.map}>
      <span className={styles.state}>{from}</span>
      <Arrow label={say.waysIn} ways={mode.ways_in} />
      <span className={styles.state} data-on="true">
        {mode.name}, {how}
      </span>
      <Arrow
        label={say.waysOut}
        ways={mode.ways_out}
        also={[held && say.heldEnds, next && say.nextEnds].filter((one) => one !== false)}
      />
      <span className={styles.state}>{named(mode.ways_out.map((way) => way.to)) || say.asUsual}</span>
    </div>
  )
}

/** Each once, the usual state first. */
const named = (states: string[]) =>
  [...new Set(states)]
    .sort((one, other) => Number(other === say.asUsual) - Number(one === say.asUsual))
    .join(', ')

/** The same press may do it from several states. */
const pressOf = (way: ModeWay) => [way.button, way.gesture, way.place].join(' ')

function Arrow({ label, ways, also = [] }: { label: string; ways: ModeWay[]; also?: string[] }) {
  return (
    <ul className={styles.arrow} aria-label={label}>
      {[...new Map(ways.map((way) => [pressOf(way), way])).values()].map((way) => (
        <li key={pressOf(way)}>
          {way.button_name} <GestureMark gesture={way.gesture} />
          <span className="seen-by-readers-only"> {way.gesture_name}</span>
          {way.place && <small> {way.place}</small>}
        </li>
      ))}
      {also.map((words) => (
        <li key={words}>{words}</li>
      ))}
    </ul>
  )
}
