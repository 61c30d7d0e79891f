import { InputNumber, Select } from 'antd'
import type { WantFacts } from '../../shared/api'
import { useWholeActions } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import { IMPORTANCE, WRONG } from './words'

interface Of<Value> {
  label: string
  value: Value
  onChange: (value: Value) => void
}

export function TimesField({ label, value, onChange }: Of<number | null>) {
  return (
    <Field label={label}>
      <InputNumber min={0} max={1000} precision={0} value={value} onChange={onChange} />
    </Field>
  )
}

export function WrongField({ label, value, onChange }: Of<WantFacts['wrong']>) {
  return (
    <Field label={label}>
      <Select value={value} options={WRONG} onChange={onChange} />
    </Field>
  )
}

export function ImportanceField({ label, value, onChange }: Of<WantFacts['importance']>) {
  return (
    <Field label={label}>
      <Select value={value} options={IMPORTANCE} onChange={onChange} />
    </Field>
  )
}

/** The action that would do the want, by its id in the catalogue; empty where nobody knows yet. */
export function ActionField({ label, value, onChange }: Of<string>) {
  const actions = useWholeActions()
  return (
    <Field label={label}>
      <Select
        showSearch
        optionFilterProp="label"
        value={value}
        onChange={onChange}
        options={[
          { value: '', label: 'not known yet' },
          ...actions.map((one) => ({ value: one.id, label: one.name })),
        ]}
      />
    </Field>
  )
}
