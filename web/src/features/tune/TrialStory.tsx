import { Waiting } from '../../shared/plain'
import { Button } from 'antd'
import { useFitTrial } from './queries'
import { say, VERDICTS } from './sentences'
import picture from './picture.module.css'
import styles from './tune.module.css'
import askingStyles from './asking.module.css'

const WIDTH = 260

interface Told {
  at_ms: number
  kind: 'down' | 'up' | 'level'
  level: number | null
}

/** One press: its trace, and why it came out as it did under each timing. */
export function TrialStory({ fit, number, onClose }: { fit: string; number: number; onClose: () => void }) {
  const told = useFitTrial(fit, number)
  return (
    <section aria-labelledby="story-title" className={styles.panel}>
      <div className={styles.row}>
        <h3 id="story-title">{say.why}</h3>
        <Button onClick={onClose}>{say.backToValue}</Button>
      </div>
      {!told && <Waiting />}
      {told && (
        <>
          <p>
            <strong>{told.words}</strong>
          </p>
          <Trace trace={told.trace} />
          {told.told.map((one) => (
            <div key={one.name} className={askingStyles.told} data-right={one.verdict === 'right'}>
              <h4>{say.under(one.name, VERDICTS[one.verdict] ?? one.verdict)}</h4>
              <p>{one.sentences.join(' ')}</p>
            </div>
          ))}
        </>
      )}
    </section>
  )
}

/** Where it was closed, to scale; a level as it rose and fell. */
function Trace({ trace }: { trace: Told[] }) {
  const end = Math.max(200, trace.at(-1)?.at_ms ?? 0)
  const x = (ms: number) => (ms / end) * WIDTH
  const bars = trace.flatMap((row, index) =>
    row.kind === 'down' ? [{ from: row.at_ms, to: trace[index + 1]?.at_ms ?? end }] : [],
  )
  const levels = trace.filter((row) => row.level !== null)
  return (
    <svg
      viewBox={`0 0 ${String(WIDTH)} 44`}
      className={picture.trace}
      role="img"
      aria-label={say.traceOf(Math.round(end))}
    >
      <path d={`M0 34H${String(WIDTH)}`} className={picture.ground} />
      {bars.map(({ from, to }) => (
        <rect
          key={from}
          x={x(from)}
          y="10"
          height="24"
          width={Math.max(2, x(to) - x(from))}
          className={picture.closed}
        />
      ))}
      {levels.length > 0 && (
        <polyline
          className={picture.level}
          points={levels
            .map((row) => `${String(x(row.at_ms))},${String(34 - (row.level ?? 0) * 30)}`)
            .join(' ')}
        />
      )}
      <text x={WIDTH} y="43" textAnchor="end" className={picture.svgText}>
        {say.ms(Math.round(end))}
      </text>
    </svg>
  )
}
