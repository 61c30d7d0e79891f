import { Input, InputNumber, Select } from 'antd'
import type { Ask, CatalogueAction, Host } from '../../shared/api'
import { Field } from '../../shared/ui'
import { AppField, type Named } from './AppField'
import type { StepChoice } from './actionChoice'
import { KeysField } from './KeysField'
import { StepsField } from './StepsField'
import styles from './assign.module.css'

interface Props {
  asks: Ask[]
  answers: Record<string, unknown>
  onAnswer: (member: string, value: unknown) => void
  /** A combination may turn out to be another action. */
  onInstead: (action: CatalogueAction) => void
  system: Host['system'] | undefined
}

/** What must be said before the chosen action is whole. */
export function AskFields({ asks, answers, onAnswer, onInstead, system }: Props) {
  if (asks.length === 0) return null
  return (
    <div className={styles.asks} data-asks>
      {asks.map((ask) => {
        const value = answers[ask.member]
        const onChange = (next: unknown) => onAnswer(ask.member, next)
        if (ask.type === 'steps')
          return (
            <StepsField
              key={ask.member}
              ask={ask}
              system={system}
              value={(value as StepChoice[] | undefined) ?? []}
              onChange={onChange}
            />
          )
        return ask.type === 'keys' ? (
          <KeysField
            key={ask.member}
            value={(value as string[] | undefined) ?? []}
            onChange={onChange}
            onInstead={onInstead}
          />
        ) : (
          <Field key={ask.member} label={ask.label}>
            {control(ask, value, onChange)}
          </Field>
        )
      })}
    </div>
  )
}

function control(ask: Ask, value: unknown, onChange: (value: unknown) => void) {
  switch (ask.type) {
    case 'number':
      return (
        <InputNumber
          min={ask.from ?? 0}
          max={ask.to ?? 1000}
          precision={0}
          value={value as number}
          onChange={onChange}
        />
      )
    case 'app':
      return <AppField value={value as Named | undefined} apps={ask.choices ?? []} onChange={onChange} />
    case 'button':
    case 'choice':
      return (
        <Select
          showSearch
          optionFilterProp="label"
          value={value as string}
          onChange={onChange}
          options={(ask.choices ?? []).map((choice) => ({ value: choice.value, label: choice.words }))}
        />
      )
    case 'time':
      return (
        <Input
          type="time"
          value={(value as string) ?? ''}
          onChange={(event) => onChange(event.target.value)}
        />
      )
    default:
      return (
        <Input
          maxLength={ask.most ?? 500}
          value={(value as string) ?? ''}
          onChange={(event) => onChange(event.target.value)}
        />
      )
  }
}
