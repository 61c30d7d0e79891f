import { Button, Select } from 'antd'
import type { Fit, FitResult, TimingValues } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Faults } from '../../shared/ui'
import { say } from './sentences'
import styles from './tune.module.css'

interface Props {
  fit: Fit
  result: FitResult
  /** Where it was moved from what was fitted. */
  moved: TimingValues | undefined
  /** What it is applied to, where that was chosen. */
  scope: string | undefined
  onScope: (scope: string) => void
  onBack: () => void
  disabled: boolean
}

/** Makes it a revision, with what it rests on. */
export function ApplyBar({ fit, result, moved, scope, onScope, onBack, disabled }: Props) {
  const mayChange = useMayChange()
  const { change, busy, refused } = useChange()
  const to = result.applies.find((one) => one.scope === (scope ?? 'button')) ?? result.applies[0]
  if (!mayChange || !to) return null
  const names = Object.keys(result.timing)
  const timing = moved ? Object.fromEntries(names.map((name) => [name, moved[name] ?? 0])) : result.timing
  const apply = () =>
    change({ kind: 'fitted', scope: to.scope, of: to.of, timing }, say.applied(to.words), {
      note: moved ? `${say.appliedMoved} ${result.note}` : result.note,
      fit: fit.id,
      tell: true,
    })
  return (
    <div className={styles.apply}>
      {result.applies.length > 1 && (
        <label className={styles.inline}>
          {say.applyTo}
          <Select
            value={to.scope}
            onChange={onScope}
            popupMatchSelectWidth={false}
            options={result.applies.map((one) => ({ value: one.scope, label: one.words }))}
          />
        </label>
      )}
      {result.in_force && !moved && <p role="status">{say.inForce}</p>}
      <Button
        type={result.in_force && !moved ? 'default' : 'primary'}
        size="large"
        block
        loading={busy}
        disabled={disabled}
        onClick={() => void apply()}
      >
        {say.apply(to.words)}
      </Button>
      {moved && <Button onClick={onBack}>{say.putBack}</Button>}
      <Faults refused={refused} />
    </div>
  )
}
