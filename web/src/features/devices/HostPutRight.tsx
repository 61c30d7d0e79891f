import { Button, Input, InputNumber } from 'antd'
import type { Host } from '../../shared/api'
import { Field } from '../../shared/ui'
import { KeysField } from '../assign'
import styles from './kinds.module.css'
import { say } from './sentences'

export type CorrectedHost = NonNullable<Host['corrected']>

interface Props {
  /** What it is about; usually this host. */
  title?: string
  usual: Host['usual']
  value: CorrectedHost
  onChange: (value: CorrectedHost) => void
}

/** What is known of hosts of this sort, put right for this one: this model, this version. */
export function HostPutRight({ title = say.hostPutRight, usual, value, onChange }: Props) {
  const keeps = value.keeps ?? []
  const put = (index: number, members: Partial<(typeof keeps)[number]>) =>
    onChange({ ...value, keeps: keeps.map((one, at) => (at === index ? { ...one, ...members } : one)) })
  return (
    <fieldset className={styles.group}>
      <legend>{title}</legend>
      <Field label={say.linesItShows} hint={say.usually(usual.lines)} at="corrected/lines">
        <InputNumber
          min={1}
          max={50}
          precision={0}
          value={value.lines ?? null}
          onChange={(lines) => onChange({ ...value, lines })}
        />
      </Field>
      <Field label={say.stepsItDoes} hint={say.usually(usual.steps)} at="corrected/steps">
        <InputNumber
          min={1}
          max={8}
          precision={0}
          value={value.steps ?? null}
          onChange={(steps) => onChange({ ...value, steps })}
        />
      </Field>
      {keeps.map((one, index) => (
        // A list without ids: nothing of it moves.
        <fieldset key={index} className={styles.group}>
          <legend>{say.keeps(index + 1)}</legend>
          <KeysField value={one.keys} onChange={(keys) => put(index, { keys })} />
          <Field label={say.whatItDoesWithIt} at={`keeps/${String(index)}/why`}>
            <Input
              required
              maxLength={120}
              value={one.why}
              onChange={(event) => put(index, { why: event.target.value })}
            />
          </Field>
          <Button
            aria-label={say.keepsNotOf(index + 1)}
            onClick={() => onChange({ ...value, keeps: keeps.filter((_, at) => at !== index) })}
          >
            {say.keepsNot}
          </Button>
        </fieldset>
      ))}
      <Button onClick={() => onChange({ ...value, keeps: [...keeps, { keys: [], why: '' }] })}>
        {say.keepsOneMore}
      </Button>
    </fieldset>
  )
}
