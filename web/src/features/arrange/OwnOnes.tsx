import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import type { Device } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { Field, FormOf } from '../../shared/ui'
import styles from './arrange.module.css'
import { say } from './sentences'

/** Keeps what is on a device as an arrangement of the client's own; removes one. */
export function OwnOnes(props: {
  devices: Device[]
  chosen: { id: string; name: string } | undefined
  onGone: () => void
}) {
  const { devices, chosen, onGone } = props
  const { change, busy, refused } = useChange()
  const [device, setDevice] = useState(devices[0]?.id ?? '')
  const [name, setName] = useState('')
  const keep = async () => {
    if (await change({ kind: 'save_arrangement', device, name }, say.kept(name))) setName('')
  }
  const remove = async () => {
    if (!chosen) return
    if (await change({ kind: 'remove_arrangement', id: chosen.id }, say.removed(chosen.name))) onGone()
  }
  return (
    <section className={styles.own} aria-label={say.theirOwnArrangements}>
      {chosen && (
        <Button disabled={busy} onClick={() => void remove()}>
          {say.removeFromList(chosen.name)}
        </Button>
      )}
      <h3>{say.keepWhatDevice}</h3>
      <FormOf onSubmit={keep} refused={refused}>
        <Field label={say.whichDeviceAlone} at="device">
          <Select
            value={device}
            onChange={setDevice}
            options={devices.map((one) => ({ value: one.id, label: one.name }))}
          />
        </Field>
        <Field label={say.name} at="name">
          <Input required maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Button htmlType="submit" disabled={busy || name.trim() === ''}>
          {say.keep}
        </Button>
      </FormOf>
    </section>
  )
}
