import type { Button, Chip, Empty, Gesture, Lane, LaneGesture } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { GestureMark } from '../../shared/ui'
import { useSpot } from './useSpot'
import styles from './lanes.module.css'

/** What an untouched button does stands where its tap would. */
export function gestureOf(chip: Chip): Gesture {
  return chip.gesture === 'builtin' ? 'tap' : chip.gesture
}

export function chipState(chip: Chip): string {
  if (chip.off) return 'off'
  if (chip.origin === 'inherited') return `from ${chip.place ?? ''}`
  return chip.kept ? 'built-in' : ''
}

type Limit = Lane['limits'][number]

/** In a word, what stands on the chip; the whole reason is in the lane's table and its name. */
const LIMIT_WORDS: Record<Limit['how'], string> = {
  impossible: '✕ can’t happen',
  hardly: '! hardly possible',
}

interface Props {
  button: Button
  chosen: LaneGesture | undefined
  onChoose: () => void
}

/** A gesture's action, in the stretch that brings it about, with its wait. */
export function ChipButton(props: Props & { chip: Chip; limit: Limit | undefined }) {
  const { chip, limit, button, chosen, onChoose } = props
  const mayChange = useMayChange()
  const gesture = gestureOf(chip)
  const own = mayChange && chip.origin === 'here'
  const spot = useSpot(
    { button, gesture },
    own ? { button, gesture, name: chip.name, copy: false } : undefined,
  )
  const state = chipState(chip)
  const note = limit ? LIMIT_WORDS[limit.how] : [chip.wait, state].filter(Boolean).join(' · ')
  return (
    <button
      type="button"
      className={styles.chip}
      {...spot}
      data-origin={chip.off ? 'off' : chip.origin}
      data-kept={chip.kept}
      aria-pressed={chosen === gesture}
      aria-keyshortcuts={own ? 'Delete F2 Control+X Control+C' : undefined}
      aria-label={`${chip.gesture_name}: ${chip.name}, ${note}. ${limit ? `${limit.words} ` : ''}${mayChange ? 'Change' : ''}`}
      data-limit={limit?.how}
      disabled={!mayChange}
      onClick={onChoose}
    >
      <span className={styles.chipName}>
        <GestureMark gesture={chip.gesture} /> {chip.name}
      </span>{' '}
      <span className={styles.chipNote}>
        {limit ? note : chip.wait}
        {!limit && state && <span className={styles.word}> · {state}</span>}
      </span>
    </button>
  )
}

/** A stretch with nothing in it yet: a button to assign something. */
export function EmptyButton({ empty, button, chosen, onChoose }: Props & { empty: Empty }) {
  const mayChange = useMayChange()
  const spot = useSpot({ button, gesture: empty.gesture }, undefined)
  const note = empty.costs.join(', ') || 'nothing yet'
  if (!mayChange) return null
  return (
    <button
      type="button"
      className={styles.empty}
      {...spot}
      aria-pressed={chosen === empty.gesture}
      aria-label={`Add a ${empty.gesture_name}; ${note}`}
      onClick={onChoose}
    >
      <span className={styles.chipName}>
        <span aria-hidden="true">+ </span>
        <GestureMark gesture={empty.gesture} /> <span className={styles.word}>{empty.gesture_name}</span>
      </span>{' '}
      <span className={styles.chipNote}>{note}</span>
    </button>
  )
}
