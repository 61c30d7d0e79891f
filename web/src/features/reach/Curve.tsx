import { Radio } from 'antd'
import type { ProposalResult } from '../../shared/api'
import { linear } from '../../shared/scale'
import { say } from './sentences'
import styles from './reach.module.css'

const WIDE = 280
const HIGH = 90
const EDGE = 12

/** The cost of a day by the number of changes, drawn; and the same as a choice. */
export function Curve(props: {
  steps: ProposalResult['steps']
  chosen: number
  onChoose: (changes: number) => void
}) {
  const { steps, chosen, onChoose } = props
  const most = Math.max(...steps.map((step) => step.cost_s), 1)
  const last = steps[steps.length - 1]?.changes ?? 1
  const across = linear([0, Math.max(last, 1)], [EDGE, WIDE - EDGE])
  const down = linear([0, most], [HIGH - EDGE, EDGE])
  const points = steps.map((step) => ({ step, x: across(step.changes), y: down(step.cost_s) }))
  return (
    <figure className={styles.curve}>
      <figcaption id="reach-curve">{say.curve}</figcaption>
      <svg viewBox={`0 0 ${String(WIDE)} ${String(HIGH)}`} aria-hidden="true">
        <polyline points={points.map(({ x, y }) => `${String(x)},${String(y)}`).join(' ')} />
        {points.map(({ step, x, y }) => (
          <circle
            key={step.changes}
            cx={x}
            cy={y}
            r={step.changes === chosen ? 7 : 4}
            data-chosen={step.changes === chosen}
          />
        ))}
      </svg>
      <Radio.Group
        aria-labelledby="reach-curve"
        className={styles.counts}
        optionType="button"
        buttonStyle="solid"
        value={chosen}
        onChange={(event) => onChoose(event.target.value as number)}
        options={steps.map(({ changes }) => ({ value: changes, label: String(changes) }))}
      />
    </figure>
  )
}
