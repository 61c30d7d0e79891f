import { Button } from 'antd'
import type { ProposalResult } from '../../shared/api'
import { say } from './sentences'
import styles from './reach.module.css'

const minutes = (seconds: number) => say.mins((seconds / 60).toFixed(1))

/** Those that would tell most stand open. */
const FIRST = 2

/** Less than this nobody would notice. */
const SAME_S = 3

/** Why each want is where it is, and which figures that nobody measured could turn it. */
export function Rests({
  result,
  onMeasure,
}: {
  result: ProposalResult
  onMeasure: (button: string) => void
}) {
  return (
    <>
      <section aria-label={say.rests} className={styles.rests}>
        <h3>{say.rests}</h3>
        {result.rests_on.length === 0 && <p>{say.restsNothing}</p>}
        <Doubts doubts={result.rests_on.slice(0, FIRST)} onMeasure={onMeasure} />
        {result.rests_on.length > FIRST && (
          <details>
            <summary>{say.andMore(result.rests_on.length - FIRST)}</summary>
            <Doubts doubts={result.rests_on.slice(FIRST)} onMeasure={onMeasure} />
          </details>
        )}
        {!result.all_asked && <p>{say.restsCut}</p>}
      </section>
      {result.here.length > 0 && (
        <details className={styles.rests}>
          <summary>{say.here}</summary>
          <ul>
            {result.here.map((one) => (
              <li key={one.want}>{hereWords(one)}</li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}

function Doubts(props: { doubts: ProposalResult['rests_on']; onMeasure: (button: string) => void }) {
  const { doubts, onMeasure } = props
  return (
    <ul>
      {doubts.map(({ button, gesture, what }) => (
        <li key={`${button} ${gesture}`}>
          <span>{what}</span>
          <Button aria-label={say.measureOf(what)} onClick={() => onMeasure(button)}>
            {say.measure}
          </Button>
        </li>
      ))}
    </ul>
  )
}

function hereWords({ what, here, instead, more_s: more }: ProposalResult['here'][number]): string {
  if (instead === null || more === null) return say.hereOnly(what, here)
  return more < SAME_S ? say.hereSame(what, here, instead) : say.hereOne(what, here, instead, minutes(more))
}
