import type { Lane } from '../../shared/api'
import styles from './changes.module.css'
import { say } from './sentences'

/** Whether the tap waits for a second one or acts at once, each with what it costs. */
export function TapChoice(props: {
  choice: NonNullable<Lane['tap_choice']>
  onChoose: (atOnce: boolean) => void
}) {
  const { choice, onChoose } = props
  return (
    <fieldset className={styles.tapChoice}>
      <legend>{say.tapThisButton}</legend>
      {(['waits', 'at_once'] as const).map((value) => (
        <label key={value}>
          <input
            type="radio"
            name="tap-choice"
            disabled={choice.only !== null && value === 'waits'}
            checked={choice.chosen === value}
            onChange={() => onChoose(value === 'at_once')}
          />
          <span>
            {value === 'waits' ? say.waits : say.actsOnce}
            <small>{choice[value]}</small>
          </span>
        </label>
      ))}
      {choice.only && <p>{choice.only}</p>}
    </fieldset>
  )
}
