import { Button, Input, Select } from 'antd'
import { useState, type FormEvent } from 'react'
import type { DeviceFacts } from '../../shared/api'
import { useFormChange } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import { useBench, type FoundSource } from '../bench'
import styles from './find.module.css'

interface Props {
  devices: DeviceFacts[]
  source: string
  kind: FoundSource['kind']
  known: string | undefined
  /** Another listener that heard it, or this browser. */
  listener: string | undefined
}

/** Says which button a source is: one that is there, or a new one that gets a name. */
export function NameIt({ devices, source, kind, known, listener }: Props) {
  const { bindTo } = useBench()
  const { change, busy } = useFormChange()
  const [name, setName] = useState('')
  const [device, setDevice] = useState(devices[0]?.id ?? '')
  const [open, setOpen] = useState(false)
  const suits = devices.flatMap((one) =>
    one.buttons
      .filter((button) => button.kind === kind || (button.kind === 'force' && kind === 'contact'))
      .map((button) => ({ value: button.ref, label: button.full_name, button })),
  )
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault()
    const button = { name: name.trim(), kind, codes: [source] }
    if (await change({ kind: 'add_button', device, button }, `${button.name} is added.`)) setOpen(false)
  }
  if (devices.length === 0) return <p>Add a device first: then its buttons can be named.</p>
  return (
    <div className={styles.nameIt} data-never-heard>
      <Field label={known ? 'Not this one? It is' : 'It is'}>
        <Select
          showSearch
          optionFilterProp="label"
          placeholder="choose a button"
          options={suits.map(({ value, label }) => ({ value, label }))}
          onChange={(ref: string) => {
            const chosen = suits.find((one) => one.value === ref)
            if (chosen) bindTo(source, chosen.button, listener)
          }}
        />
      </Field>
      {!open && <Button onClick={() => setOpen(true)}>A new button</Button>}
      {open && (
        <form className={styles.new} onSubmit={(event) => void onSubmit(event)}>
          <Field label="Name of the new button">
            <Input required maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
          </Field>
          <Field label="On which device">
            <Select
              value={device}
              onChange={setDevice}
              options={devices.map((one) => ({ value: one.id, label: one.name }))}
            />
          </Field>
          <Button type="primary" htmlType="submit" loading={busy} disabled={!name.trim()}>
            Add it
          </Button>
        </form>
      )}
    </div>
  )
}
