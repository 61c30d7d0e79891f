import { Button } from 'antd'
import type { Sitting } from '../../shared/api'
import type { Step } from './queries'
import { say } from './sentences'
import styles from './tune.module.css'

/** What was kept last, and whether it counts. */
export function LastTrial({
  trial,
  onStep,
}: {
  trial: Sitting['trials'][number] | undefined
  onStep: (step: Step) => void
}) {
  if (!trial) return null
  const heard = trial.held.length > 0 ? say.touches(trial.held.map(Math.round).join(', ')) : say.nothingHeard
  return (
    <div className={styles.row}>
      <p className={styles.quiet}>
        <span data-counted={trial.counted}>
          {trial.counted ? say.lastOne(trial.words, heard) : say.lastDiscounted(trial.words, heard)}
        </span>
      </p>
      <Button onClick={() => onStep({ do: trial.counted ? 'discount' : 'count', trial: trial.id })}>
        {trial.counted ? say.didNotCount : say.countsAgain}
      </Button>
    </div>
  )
}
