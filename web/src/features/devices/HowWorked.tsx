import { Input } from 'antd'
import { Field } from '../../shared/ui'
import { say } from './sentences'

type Name = 'worked_with' | 'mounting' | 'posture'

const FIELDS: { name: Name; label: string; example?: string }[] = [
  { name: 'worked_with', label: say.workedWithAlone, example: say.leftThumbHead },
  { name: 'mounting', label: say.mounting },
  { name: 'posture', label: say.posture },
]

interface Props {
  value: Partial<Record<Name, string | null>>
  onChange: (name: Name, words: string) => void
}

/** With which part of the body a device is worked, how it is fixed, how the person sits. */
export function HowWorked({ value, onChange }: Props) {
  return FIELDS.map(({ name, label, example }) => (
    <Field key={name} label={label}>
      <Input
        maxLength={120}
        placeholder={example}
        value={value[name] ?? ''}
        onChange={(event) => onChange(name, event.target.value)}
      />
    </Field>
  ))
}
