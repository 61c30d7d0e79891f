import { Checkbox, InputNumber } from 'antd'
import { Field } from '../../shared/ui'
import type { Assigning } from './assigning'
import styles from './assign.module.css'
import { say } from './sentences'

const USUAL = { after_ms: 500, every_ms: 200 }

/** Again and again while it is held. */
export function RepeatField(props: {
  value: Assigning['repeat']
  onChange: (repeat: Assigning['repeat']) => void
}) {
  const { value, onChange } = props
  return (
    <div className={styles.repeat}>
      <Checkbox
        checked={value !== undefined}
        onChange={(event) => onChange(event.target.checked ? USUAL : undefined)}
      >
        {say.repeatWhileHeld}
      </Checkbox>
      {value && (
        <div className={styles.pair}>
          <Field label={say.afterMs}>
            <InputNumber
              min={50}
              max={5000}
              precision={0}
              value={value.after_ms}
              onChange={(ms) => onChange({ ...value, after_ms: ms ?? USUAL.after_ms })}
            />
          </Field>
          <Field label={say.thenEveryMs}>
            <InputNumber
              min={10}
              max={2000}
              precision={0}
              value={value.every_ms}
              onChange={(ms) => onChange({ ...value, every_ms: ms ?? USUAL.every_ms })}
            />
          </Field>
        </div>
      )}
    </div>
  )
}
