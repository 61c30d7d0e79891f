import { Select } from 'antd'
import type { Button } from '../api'
import { Field } from './Field'

/** One of the client’s buttons, found by typing. */
export function ButtonField(props: {
  label: string
  /** See Field. */
  at?: string
  buttons: Button[]
  value: string | undefined
  /** It may be left out again. */
  optional?: boolean
  onChange: (ref: string | undefined) => void
}) {
  const { label, at, buttons, value, optional = false, onChange } = props
  return (
    <Field label={label} {...(at ? { at } : {})}>
      <Select
        showSearch
        allowClear={optional}
        optionFilterProp="label"
        value={value}
        onChange={onChange}
        options={buttons.map((one) => ({ value: one.ref, label: one.full_name }))}
      />
    </Field>
  )
}
