import { Button, Select } from 'antd'
import type { Sitting } from '../../shared/api'
import type { Step } from './queries'
import { INTENDED, say } from './sentences'
import styles from './tune.module.css'
import askingStyles from './asking.module.css'
import { TouchBars } from './TouchBars'

const SHOWN = 6

interface Props {
  sitting: Sitting
  onStep: (step: Step) => void
}

/** What was pressed so far, the newest first, each to scale; what didn't count is taken out and can be brought back. */
export function SoFar({ sitting, onStep }: Props) {
  const last = sitting.trials.slice(-SHOWN).reverse()
  return (
    <section aria-labelledby="so-far" data-free className={askingStyles.soFar}>
      <h3 id="so-far">{say.soFar}</h3>
      {sitting.trials.length < 10 && <p className={styles.quiet}>{say.soon10}</p>}
      <ol reversed>
        {last.map((one) => (
          <li key={one.id} data-counted={one.counted}>
            <Select
              aria-label={say.itWasMeantAs(String(one.number + 1))}
              value={one.intended}
              onChange={(intended) => onStep({ do: 'meant', trial: one.id, intended })}
              popupMatchSelectWidth={false}
              options={[...sitting.offered, 'rest' as const].map((sort) => ({
                value: sort,
                label: INTENDED[sort],
              }))}
            />
            <TouchBars held={one.held} apart={one.apart} />
            <Button
              aria-label={say.ofOne(
                one.counted ? say.didNotCount : say.countsAgain,
                one.words,
                one.number + 1,
              )}
              onClick={() => onStep({ do: one.counted ? 'discount' : 'count', trial: one.id })}
            >
              {one.counted ? say.didNotCount : say.countsAgain}
            </Button>
          </li>
        ))}
      </ol>
    </section>
  )
}
