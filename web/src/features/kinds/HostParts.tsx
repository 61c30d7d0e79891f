import { Checkbox, Input, InputNumber } from 'antd'
import type { ServiceKinds } from '../../shared/api'
import { Field } from '../../shared/ui'
import { CarriesFields } from './CarriesFields'
import { without, type Carries, type KindDocument } from './document'
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
      <Field label={say.doubleClick} at={`${at}/double_click_ms`}>
        <Times times={times} onChange={(double_click_ms) => onChange({ double_click_ms })} />
      </Field>
      <CarriesFields carries={carries} at={at} settings={settings} onChange={onChange} />
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
          aria-label={say.drawnMeasure(say.doubleClick, which)}
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
