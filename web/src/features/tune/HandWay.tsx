import type { Sitting } from '../../shared/api'
import { say } from './sentences'
import styles from './tune.module.css'
import askingStyles from './asking.module.css'

const TIMES = [say.notAtAll, say.once]

/** Finding a bounce guard by hand: what was tried, what it came to. */
export function HandWay({ sitting }: { sitting: Sitting }) {
  const state = sitting.by_hand
  if (!state) return null
  return (
    <section className={askingStyles.told} aria-labelledby="hand-title">
      <h3 id="hand-title">{say.handTitle}</h3>
      <p aria-live="polite">
        <strong>
          {state.found ? say.handFoundAt(String(state.guard_ms)) : say.handTry(String(state.guard_ms))}
        </strong>
      </p>
      <ol>
        {state.tried.map(({ guard_ms, counted }, index) => (
          <li key={index}>
            {say.handCounted(String(guard_ms), TIMES[counted] ?? say.times(String(counted)))}
          </li>
        ))}
      </ol>
      {state.found && <p className={styles.quiet}>{say.handMeasured}</p>}
    </section>
  )
}
