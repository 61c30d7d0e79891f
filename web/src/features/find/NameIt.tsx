import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import type { DeviceFacts } from '../../shared/api'
import { useFormChange } from '../../shared/fitting'
import { Field, FormOf } from '../../shared/ui'
import { useBench, type FoundSource } from '../bench'
import styles from './find.module.css'
import { say } from './sentences'

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
  const { bindTo } = useBench('bindTo')
  const { change, busy, refused } = useFormChange()
  const [name, setName] = useState('')
  const [device, setDevice] = useState(devices[0]?.id ?? '')
  const [open, setOpen] = useState(false)
  const suits = devices.flatMap((one) =>
    one.buttons
      .filter((button) => button.kind === kind || (button.kind === 'force' && kind === 'contact'))
      .map((button) => ({ value: button.ref, label: button.full_name, button })),
  )
  const onSubmit = async () => {
    const button = { name: name.trim(), kind, codes: [source] }
    if (await change({ kind: 'add_button', device, button }, say.added(button.name))) setOpen(false)
  }
  if (devices.length === 0) return <p>{say.addDeviceFirstThen}</p>
  return (
    <div className={styles.nameIt} data-never-heard>
      <Field label={known ? say.notThisOne : say.itIs}>
        <Select
          showSearch
          optionFilterProp="label"
          placeholder={say.chooseButton}
          options={suits.map(({ value, label }) => ({ value, label }))}
          onChange={(ref: string) => {
            const chosen = suits.find((one) => one.value === ref)
            if (chosen) bindTo(source, chosen.button, listener)
          }}
        />
      </Field>
      {!open && <Button onClick={() => setOpen(true)}>{say.newButton}</Button>}
      {open && (
        <FormOf className={styles.new} onSubmit={onSubmit} refused={refused}>
          <Field label={say.nameNewButton} at="name">
            <Input required maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
          </Field>
          <Field label={say.whichDevice} at="device">
            <Select
              value={device}
              onChange={setDevice}
              options={devices.map((one) => ({ value: one.id, label: one.name }))}
            />
          </Field>
          <Button type="primary" htmlType="submit" loading={busy} disabled={!name.trim()}>
            {say.add}
          </Button>
        </FormOf>
      )}
    </div>
  )
}
