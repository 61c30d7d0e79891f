import { Select } from 'antd'
import { chooseLight, useLightChoice, type LightChoice } from '../theme'
import { Field } from './Field'
import { say } from './sentences'

const CHOICES: { value: LightChoice; label: string }[] = [
  { value: 'system', label: say.asSystemHas },
  { value: 'light', label: say.light },
  { value: 'dark', label: say.dark },
]

/** By day, by night, or as the system has it. */
export function LightChoiceField() {
  return (
    <Field label={say.lightDark}>
      <Select value={useLightChoice()} options={CHOICES} onChange={chooseLight} />
    </Field>
  )
}
