import type { Chip, Empty, LaneGesture } from '../../shared/api'
import { GestureMark } from '../../shared/ui'
import styles from './lanes.module.css'

type Choose = (gesture: LaneGesture, element: HTMLElement) => void

function state(chip: Chip): string {
  if (chip.off) return 'off'
  if (chip.origin === 'inherited') return `from ${chip.place ?? ''}`
  return chip.kept ? 'built-in' : ''
}

/** A gesture's action, in the stretch that brings it about, with its wait. */
export function ChipButton(props: { chip: Chip; chosen: LaneGesture | undefined; onChoose: Choose }) {
  const { chip, chosen, onChoose } = props
  const note = [state(chip), chip.wait].filter(Boolean).join(' · ')
  return (
    <button
      type="button"
      className={styles.chip}
      data-origin={chip.off ? 'off' : chip.origin}
      data-kept={chip.kept}
      aria-pressed={chosen === chip.gesture || (chosen === 'tap' && chip.gesture === 'builtin')}
      aria-label={`${chip.gesture_name}: ${chip.name}, ${note}. Change`}
      onClick={(event) => onChoose(chip.gesture, event.currentTarget)}
    >
      <span className={styles.chipName}>
        <GestureMark gesture={chip.gesture} /> {chip.name}
      </span>
      <span className={styles.chipNote}>
        {state(chip) && <span className={styles.word}>{state(chip)} · </span>}
        {chip.wait}
      </span>
    </button>
  )
}

/** A stretch with nothing in it yet: a button to assign something. */
export function EmptyButton(props: { empty: Empty; chosen: LaneGesture | undefined; onChoose: Choose }) {
  const { empty, chosen, onChoose } = props
  const note = empty.costs.join(', ')
  return (
    <button
      type="button"
      className={styles.empty}
      aria-pressed={chosen === empty.gesture}
      aria-label={`Add a ${empty.gesture_name}${note ? `; ${note}` : ''}`}
      onClick={(event) => onChoose(empty.gesture, event.currentTarget)}
    >
      <span className={styles.chipName}>
        + <GestureMark gesture={empty.gesture} /> <span className={styles.word}>{empty.gesture_name}</span>
      </span>
      <span className={styles.chipNote}>{note || 'nothing yet'}</span>
    </button>
  )
}
