import { Checkbox, Input, InputNumber } from 'antd'
import { useState } from 'react'
import type { ServiceKinds } from '../../shared/api'
import { Field } from '../../shared/ui'
import { GESTURES } from '../assign'
import { allowedOf, without, wordsOf, type Allowed, type Carries } from './document'
import styles from './kinds.module.css'
import { say } from './sentences'

export type Carried = Pick<Carries, 'gestures' | 'settable'> & { modes?: number }

interface Props {
  carries: Carried
  /** Where it stands in what is sent, for what is wrong with it. */
  at: string
  settings: ServiceKinds['settings']
  onChange: (members: Partial<Carries>) => void
}

/** What a device carries at a host: gestures, modes, the values that can be set. */
export function CarriesFields({ carries, at, settings, onChange }: Props) {
  return (
    <>
      <Field label={say.gesturesThere} at={`${at}/gestures`}>
        <Checkbox.Group
          value={carries.gestures}
          options={GESTURES.map(({ value, word }) => ({ value, label: word }))}
          onChange={(gestures) => onChange({ gestures })}
        />
      </Field>
      <Field label={say.modes} at={`${at}/modes`}>
        <InputNumber
          min={0}
          max={100}
          precision={0}
          value={carries.modes ?? null}
          onChange={(modes) => onChange({ modes: modes ?? 0 })}
        />
      </Field>
      <p>
        <strong>{say.settable}</strong> {say.settableHint}
      </p>
      <div className={styles.pair}>
        {settings.map(({ setting, name }) => (
          <Settable
            key={setting}
            name={name}
            at={`${at}/settable/${setting}`}
            allowed={carries.settable[setting]}
            onChange={(allowed) => {
              const others = without(carries.settable, setting)
              onChange({ settable: allowed ? { ...others, [setting]: allowed } : others })
            }}
          />
        ))}
      </div>
    </>
  )
}

/** Typed as people read it; what was typed stays as it was typed. */
function Settable(props: {
  name: string
  at: string
  allowed: Allowed | undefined
  onChange: (allowed: Allowed | undefined) => void
}) {
  const { name, at, allowed, onChange } = props
  const [words, setWords] = useState(() => wordsOf(allowed))
  return (
    <Field label={name} at={at}>
      <Input
        value={words}
        onChange={(event) => {
          setWords(event.target.value)
          onChange(allowedOf(event.target.value))
        }}
      />
    </Field>
  )
}
