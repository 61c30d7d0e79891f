import type { Chip } from '../../shared/api'
import styles from './assign.module.css'
import actionsStyles from './actions.module.css'
import { say } from './sentences'

/** What several steps by one press are, what breaks them off and what takes them back. */
export function StepsTold({ steps }: { steps: NonNullable<Chip['steps']> }) {
  return (
    <section className={styles.stepsTold} aria-label={say.oneAfterAnother}>
      <h3>{say.oneAfterAnother}</h3>
      <ol>
        {steps.told.map((words, index) => (
          <li key={index}>{words}</li>
        ))}
      </ol>
      <dl className={actionsStyles.facts}>
        <div>
          <dt>{say.brokenOffBy}</dt>
          <dd>{say.nextPressOf(steps.stop)}</dd>
        </div>
        <div>
          <dt>{say.takenBack}</dt>
          <dd>{steps.undo}</dd>
        </div>
      </dl>
    </section>
  )
}
