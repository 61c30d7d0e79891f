import type { Intended } from '../api'
import { say } from './sentences'
import styles from './prompt.module.css'

const SHAPES: Record<Intended, string> = {
  tap: '•',
  click: '•',
  double_tap: '••',
  double_click: '••',
  triple_tap: '•••',
  long_press: '▬',
  drag: '▬',
  rest: '○',
  carry: '↔',
}

interface Props {
  /** Which one it is: the same words again are asked again. */
  number: number
  intended: Intended
  words: string
  /** How many presses are asked for, and have come. */
  wants: number
  presses: number
  down: boolean
  paused: boolean
}

/** What the client is asked to press, to be read from across the room; and the press as it grows. No figures, no judgement. */
export function BigPrompt({ number, intended, words, wants, presses, down, paused }: Props) {
  const answered = wants > 0 && presses >= wants && !down
  return (
    <div className={styles.prompt} data-down={down} data-paused={paused}>
      <span className={styles.shape} aria-hidden="true">
        {SHAPES[intended]}
      </span>
      <strong className={styles.words} aria-live="assertive">
        <span key={number}>{paused ? say.resting : words}</span>
      </strong>
      <span className={styles.dots} aria-hidden="true">
        {Array.from({ length: wants }, (_, index) => (
          <i key={index} data-there={index < presses} />
        ))}
      </span>
      <small className={styles.then}>
        {answered ? say.thanks : paused ? '' : wants === 0 ? say.still : say.whenever}
      </small>
      <span className={styles.growing} aria-hidden="true" />
    </div>
  )
}
