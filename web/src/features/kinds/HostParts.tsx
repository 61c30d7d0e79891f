import { Checkbox, Input, InputNumber } from 'antd'
import { useState } from 'react'
import type { ServiceKinds } from '../../shared/api'
import { Field } from '../../shared/ui'
import { GESTURES } from '../assign'
import { allowedOf, without, wordsOf, type Allowed, type Carries, type KindDocument } from './document'
import styles from './kinds.module.css'
import { say } from './sentences'
import { SYSTEMS } from './systems'

interface Props {
  document: KindDocument
  /** What a host carries where nothing was said. */
  blank: KindDocument
  settings: ServiceKinds['settings']
  onChange: (members: Partial<KindDocument>) => void
}

/** Where a kind of device works, and what it can carry there. */
export function HostParts({ document, blank, settings, onChange }: Props) {
  const { hosts } = document
  const usual = Object.values(blank.hosts)[0]
  return (
    <fieldset className={styles.part}>
      <legend>{say.hosts}</legend>
      {SYSTEMS.map(({ value, label }) => {
        const carries = hosts[value]
        const last = Object.keys(hosts).length === 1
        return (
          <div key={value}>
            <Checkbox
              checked={carries !== undefined}
              disabled={carries !== undefined && last}
              onChange={(event) => {
                const others = without(hosts, value)
                onChange({ hosts: event.target.checked && usual ? { ...others, [value]: usual } : others })
              }}
            >
              {say.worksAt(label)}
            </Checkbox>
            {carries && (
              <details>
                <summary>{say.details}</summary>
                <OneHost
                  carries={carries}
                  at={`hosts/${value}`}
                  settings={settings}
                  onChange={(members) =>
                    onChange({ hosts: { ...hosts, [value]: { ...carries, ...members } } })
                  }
                />
              </details>
            )}
          </div>
        )
      })}
    </fieldset>
  )
}

function OneHost(props: {
  carries: Carries
  at: string
  settings: Props['settings']
  onChange: (members: Partial<Carries>) => void
}) {
  const { carries, at, settings, onChange } = props
  const times = carries.double_click_ms
  return (
    <div className={styles.fields}>
      <Field label={say.unsure} at={`${at}/unsure`}>
        <Input
          maxLength={500}
          value={carries.unsure ?? ''}
          onChange={(event) =>
            onChange(event.target.value ? { unsure: event.target.value } : { unsure: undefined })
          }
        />
      </Field>
      <Field label={say.gesturesThere} at={`${at}/gestures`}>
        <Checkbox.Group
          value={carries.gestures}
          options={GESTURES.map(({ value, word }) => ({ value, label: word }))}
          onChange={(gestures) => onChange({ gestures })}
        />
      </Field>
      <div className={styles.pair}>
        <Field label={say.modes} at={`${at}/modes`}>
          <InputNumber
            min={0}
            max={100}
            precision={0}
            value={carries.modes}
            onChange={(modes) => onChange({ modes: modes ?? 0 })}
          />
        </Field>
        <Field label={say.doubleClick} at={`${at}/double_click_ms`}>
          <Times times={times} onChange={(double_click_ms) => onChange({ double_click_ms })} />
        </Field>
      </div>
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
    </div>
  )
}

function Times(props: {
  id?: string
  times: Carries['double_click_ms']
  onChange: (times: Carries['double_click_ms']) => void
}) {
  const { id, times, onChange } = props
  return (
    <span className={styles.four} role="group" aria-label={say.doubleClick}>
      {(['usual', 'from', 'to'] as const).map((which, index) => (
        <InputNumber
          key={which}
          id={index === 0 ? id : undefined}
          aria-label={`${say.doubleClick}, ${which}`}
          min={50}
          max={3000}
          precision={0}
          value={times[which]}
          onChange={(value) => onChange({ ...times, [which]: value ?? times[which] })}
        />
      ))}
    </span>
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
