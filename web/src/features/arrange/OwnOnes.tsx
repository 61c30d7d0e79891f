import { Button, Input, Select } from 'antd'
import { useState, type FormEvent } from 'react'
import type { Device } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import styles from './arrange.module.css'

/** Keeps what is on a device as an arrangement of the client's own; removes one. */
export function OwnOnes(props: {
  devices: Device[]
  chosen: { id: string; name: string } | undefined
  onGone: () => void
}) {
  const { devices, chosen, onGone } = props
  const { change, busy } = useChange()
  const [device, setDevice] = useState(devices[0]?.id ?? '')
  const [name, setName] = useState('')
  const keep = async (event: FormEvent) => {
    event.preventDefault()
    if (await change({ kind: 'save_arrangement', device, name }, `${name} is kept.`)) setName('')
  }
  const remove = async () => {
    if (!chosen) return
    if (await change({ kind: 'remove_arrangement', id: chosen.id }, `${chosen.name} is removed.`)) onGone()
  }
  return (
    <section className={styles.own} aria-label="Their own arrangements">
      {chosen && (
        <Button disabled={busy} onClick={() => void remove()}>
          Remove “{chosen.name}” from the list
        </Button>
      )}
      <h3>Keep what is on a device</h3>
      <form onSubmit={(event) => void keep(event)}>
        <Field label="Which device">
          <Select
            value={device}
            onChange={setDevice}
            options={devices.map((one) => ({ value: one.id, label: one.name }))}
          />
        </Field>
        <Field label="Name">
          <Input required maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Button htmlType="submit" disabled={busy || name.trim() === ''}>
          Keep it
        </Button>
      </form>
    </section>
  )
}
