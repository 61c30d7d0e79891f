import { useContext, type CSSProperties } from 'react'
import type { Button, Chip, Empty, Finding, Lane, LaneGesture } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { spotName } from '../assign'
import { GestureMark, SHAPES } from '../../shared/ui'
import { HandContext } from './hand'
import { gestureOf } from './picking'
import { widthOf } from './text'
import styles from './chip.module.css'
import { say } from './sentences'

export function chipState(chip: Chip): string {
  if (chip.off) return 'off'
  if (chip.from !== null) return chip.from
  return chip.kept ? say.itself : ''
}

/** What the timing makes of its gesture, where that is little. */
export const limitOf = (chip: Chip, lane: Lane) =>
  lane.limits.find((one) => one.where.gesture === chip.gesture)

/** In a word, what stands on the chip; the whole reason stands below and in its name. */
const limitWords = ({ bad }: Finding) => (bad === 'serious' ? say.cantHappen : say.hardlyPossible)

function noteOf(chip: Chip, lane: Lane) {
  const limit = limitOf(chip, lane)
  return limit ? limitWords(limit) : [chip.wait, chipState(chip)].filter(Boolean).join(' · ')
}

/** Its padding and border. */
const AROUND_PX = 22
/** Longer words go on in a further line. */
const MOST_PX = 250
const EMPTY_PX = 52

/** How wide a place is drawn where nothing stands; with what it would cost, where something is in hand. */
export const emptyWidth = (free: string | undefined): number =>
  free === undefined ? EMPTY_PX : Math.min(MOST_PX, EMPTY_PX + widthOf(free, 'note') + 12)

/** A word longer than this goes on in a further line, where its stretch is shorter. */
const MOST_WORD_PX = 80

/** The longest of some words: narrower it would be broken; of a very long one, as much as may stand in a line. */
const longest = (words: string, font: 'name' | 'note') =>
  Math.min(MOST_WORD_PX, Math.max(...words.split(' ').map((word) => widthOf(word, font))))

/**
 * How wide a chip is drawn, for all its words to be read: in one line, where there is room for that before the boundary
 * that ends its stretch; else in several. room – px up to there
 */
export function chipWidth(chip: Chip, lane: Lane, free: string | undefined, room: number): number {
  const name = `${SHAPES[chip.gesture]} ${chip.name}`
  const note = free === undefined ? noteOf(chip, lane) : say.putHere(free)
  const whole = Math.min(MOST_PX, Math.max(widthOf(name, 'name'), widthOf(note, 'note'))) + AROUND_PX
  const least = Math.max(longest(name, 'name'), longest(note, 'note')) + AROUND_PX
  return Math.max(least, Math.min(whole, room))
}

interface Props {
  chosen: LaneGesture | undefined
  style?: CSSProperties | undefined
  onChoose: () => void
}

/** A gesture's action, in the stretch that brings it about, with its wait. */
export function ChipButton(props: Props & { chip: Chip; lane: Lane }) {
  const { chip, lane, chosen, style, onChoose } = props
  const { button } = lane
  const limit = limitOf(chip, lane)
  const mayChange = useMayChange()
  const gesture = gestureOf(chip)
  const own = mayChange && chip.origin === 'here'
  const free = useContext(HandContext)?.free.get(spotName(button.ref, gesture))
  const note = free === undefined ? noteOf(chip, lane) : say.putHere(free)
  // What is done untouched is on no gesture.
  const says =
    chip.gesture === 'builtin'
      ? say.chipUntouched(chip.name, note)
      : say.chip(chip.gesture_name, chip.name, note)
  return (
    <button
      type="button"
      tabIndex={-1}
      data-stop
      className={styles.chip}
      style={style}
      data-spot={spotName(button.ref, gesture)}
      data-origin={chip.off ? 'off' : chip.origin}
      data-kept={chip.kept}
      data-free={free !== undefined}
      aria-pressed={chosen === gesture}
      aria-keyshortcuts={own ? 'Delete F2 Control+X Control+C' : undefined}
      aria-label={[says, limit?.what, mayChange ? say.change : ''].filter(Boolean).join(' ')}
      data-limit={limit?.bad}
      aria-disabled={!mayChange}
      onClick={mayChange ? onChoose : undefined}
    >
      <span className={styles.chipName}>
        <GestureMark gesture={chip.gesture} /> {chip.name}
      </span>{' '}
      <span className={styles.chipNote}>{note}</span>
    </button>
  )
}

const addWords = ({ gesture_name, costs }: Empty, { full_name }: Button) =>
  costs.length > 0
    ? say.addToAtCost(gesture_name, full_name, costs.join(', '))
    : say.addTo(gesture_name, full_name)

/** A stretch with nothing in it yet: a button to assign something. */
export function EmptyButton(props: Props & { empty: Empty; button: Button }) {
  const { empty, button, chosen, style, onChoose } = props
  const mayChange = useMayChange()
  const free = useContext(HandContext)?.free.get(spotName(button.ref, empty.gesture))
  if (!mayChange) return null
  return (
    <button
      type="button"
      tabIndex={-1}
      data-stop
      className={styles.empty}
      style={style}
      data-spot={spotName(button.ref, empty.gesture)}
      aria-pressed={chosen === empty.gesture}
      data-free={free !== undefined}
      aria-label={
        free === undefined ? addWords(empty, button) : say.putOn(empty.gesture_name, button.full_name, free)
      }
      onClick={onChoose}
    >
      <span aria-hidden="true">+</span> <GestureMark gesture={empty.gesture} />
      {free !== undefined && <span className={styles.chipNote}>{free}</span>}
    </button>
  )
}
