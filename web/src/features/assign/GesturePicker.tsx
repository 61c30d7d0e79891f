import type { Gesture } from '../../shared/api'
import { GestureMark } from '../../shared/ui'
import { GESTURES } from './gestures'
import styles from './assign.module.css'
import { say } from './sentences'

export function GesturePicker(props: { gesture: Gesture; onGesture: (gesture: Gesture) => void }) {
  return (
    <fieldset className={styles.gestures}>
      <legend className="seen-by-readers-only">{say.gesture}</legend>
      {GESTURES.map(({ value, word, short }) => (
        <label key={value}>
          <input
            type="radio"
            name="gesture"
            aria-label={word}
            checked={props.gesture === value}
            onChange={() => props.onGesture(value)}
          />
          <GestureMark gesture={value} />
          <span aria-hidden="true">{short}</span>
        </label>
      ))}
    </fieldset>
  )
}
