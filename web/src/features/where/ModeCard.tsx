import { Button } from 'antd'
import type { Mode, ModeWay } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { GestureMark } from '../../shared/ui'
import { Assigned } from './Assigned'
import { Counts } from './Counts'
import { say } from './sentences'
import styles from './where.module.css'
import modesStyles from './modes.module.css'

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
    <section className={styles.card} aria-label={mode.name}>
      <div className={styles.row}>
        <p>
          <strong>{mode.name}</strong>
          <small>
            {[howOf(mode), say.saysOfTheRest(say.otherwiseWords[mode.otherwise])].filter(Boolean).join(' · ')}
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
      <Assigned list={mode.assigned} besides="place" />
      {mode.counts.length > 0 && <Counts counts={mode.counts} />}
      {mode.counts.length > 0 && <HowItCounts mode={mode} />}
    </section>
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

/** How it is taken: while it is held, until changed, for the next press. */
const howOf = (mode: Mode): string =>
  [...new Set(mode.ways_in.map((way) => way.how))].map((one) => say.how[one]).join(', ')

/** The ways between how it usually is and a mode, or another mode: into it above, out of it below. */
export function Ways({ mode }: { mode: Mode }) {
  if (mode.ways_in.length === 0) return <p className={modesStyles.quiet}>{say.nothingTakesIt}</p>
  const held = mode.ways_in.some((way) => way.how === 'held')
  const next = mode.ways_in.some((way) => way.how === 'latch')
  return (
    <div className={modesStyles.ways}>
      <Arrow label={say.waysIn} ways={mode.ways_in} end={(way) => way.from} />
      <Arrow
        label={say.waysOut}
        ways={mode.ways_out}
        end={(way) => way.to}
        also={[held && say.heldEnds, next && say.nextEnds].filter((one) => one !== false)}
        back
      />
    </div>
  )
}

/** The same press may do it from several states. */
const pressOf = (way: ModeWay) => [way.button, way.gesture, way.place].join(' ')

interface ArrowProps {
  label: string
  ways: ModeWay[]
  /** The mode at the other end; null: how it usually is. */
  end: (way: ModeWay) => string | null
  also?: string[]
  back?: boolean
}

/** The presses that go one way; which other mode is at its end, where that is not the usual state. */
function Arrow({ label, ways, end, also = [], back = false }: ArrowProps) {
  const others = (press: string) =>
    [...new Set(ways.filter((way) => pressOf(way) === press).map(end))].filter((one) => one !== null)
  return (
    <ul className={modesStyles.arrow} aria-label={label} data-back={back}>
      {[...new Map(ways.map((way) => [pressOf(way), way])).values()].map((way) => (
        <li key={pressOf(way)}>
          {way.button_name} <GestureMark gesture={way.gesture} />
          <span className="seen-by-readers-only"> {way.gesture_name}</span>
          {way.place && <small> {way.place}</small>}
          {others(pressOf(way)).length > 0 && (
            <small> {say.otherEnd(back, others(pressOf(way)).join(', '))}</small>
          )}
        </li>
      ))}
      {also.map((words) => (
        <li key={words}>{words}</li>
      ))}
    </ul>
  )
}
