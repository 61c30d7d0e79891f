import type { FitResult } from '../../shared/api'
import { percent, say } from './sentences'
import styles from './tune.module.css'

/** What it comes to, to be read from a metre and a half; how sure that is, and what today’s timing comes to. */
export function Figure({ result, stale }: { result: FitResult; stale: boolean }) {
  const { expected, compared, in_force: inForce } = result
  const today = compared.find((one) => one.kind === 'today')
  return (
    <div className={styles.figures}>
      {expected.few ? (
        <h3>{say.fewYet(String(expected.n))}</h3>
      ) : (
        <>
          <h3 className={styles.large}>
            <strong>{percent(expected.right)} %</strong> {say.comeOut}
          </h3>
          <p>
            {say.interval(percent(expected.low), percent(expected.high), String(expected.n))}
            {today && !inForce ? `. ${todayWords(today)}.` : '.'}
          </p>
        </>
      )}
      {stale && <p className={styles.quiet}>{say.ofBefore}</p>}
    </div>
  )
}

const todayWords = ({ from, right }: FitResult['compared'][number]) =>
  from === 'unseen' ? say.todayComes(percent(right)) : say.todaySeen(percent(right))
