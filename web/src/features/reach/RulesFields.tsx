import { Select } from 'antd'
import type { Button as OneButton } from '../../shared/api'
import { useWants } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import { GESTURES } from '../assign'
import type { Rules } from './queries'
import { say } from './sentences'
import styles from './reach.module.css'

/** Which ways stay, and what may not be used. */
export function RulesFields(props: {
  client: string
  buttons: OneButton[]
  rules: Rules
  onChange: (rules: Rules) => void
}) {
  const { client, buttons, rules, onChange } = props
  const wants = useWants(client).data ?? []
  return (
    <details
      className={styles.rules}
      open={rules.pinned.length + rules.buttons.length + rules.gestures.length > 0}
    >
      <summary>{say.rules}</summary>
      <Field label={say.pinned}>
        <Select
          mode="multiple"
          value={rules.pinned}
          placeholder={say.none}
          onChange={(pinned) => onChange({ ...rules, pinned })}
          options={wants.map(({ id, what }) => ({ value: id, label: what }))}
        />
      </Field>
      <Field label={say.shutButtons}>
        <Select
          mode="multiple"
          value={rules.buttons}
          placeholder={say.none}
          optionFilterProp="label"
          onChange={(refs) => onChange({ ...rules, buttons: refs })}
          options={buttons.map(({ ref, full_name }) => ({ value: ref, label: full_name }))}
        />
      </Field>
      <Field label={say.shutGestures}>
        <Select
          mode="multiple"
          value={rules.gestures}
          placeholder={say.none}
          onChange={(gestures) => onChange({ ...rules, gestures })}
          options={GESTURES.map(({ value, word }) => ({ value, label: word }))}
        />
      </Field>
    </details>
  )
}
