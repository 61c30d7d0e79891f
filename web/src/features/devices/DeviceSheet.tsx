import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import type { Desk, DeviceFacts } from '../../shared/api'
import { useFormChange, useDevices } from '../../shared/fitting'
import { Field, SideSheet, FormOf } from '../../shared/ui'
import { HowWorked } from './HowWorked'
import { say } from './sentences'

/** What is known of one device: its name, host, seat, version, and how it is worked. */
export function DeviceSheet(props: { desk: Desk; id: string; onClose: () => void }) {
  const facts = useDevices(props.desk.id)
  const device = facts.data?.devices.find((one) => one.id === props.id)
  return device ? <Details key={device.id} {...props} device={device} /> : null
}

function Details({ desk, device, onClose }: { desk: Desk; device: DeviceFacts; onClose: () => void }) {
  const { change, busy, refused } = useFormChange()
  const [given, setGiven] = useState({
    name: device.name,
    host: device.host,
    on: device.seat,
    version: device.version,
    worked_with: device.worked_with,
    mounting: device.mounting,
    posture: device.posture,
  })
  const onSubmit = async () => {
    if (await change({ kind: 'device', device: device.id, set: given }, say.changed(given.name))) onClose()
  }
  return (
    <SideSheet title={device.name} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <Field label={say.name} at="name">
          <Input
            required
            maxLength={120}
            value={given.name}
            onChange={(event) => setGiven({ ...given, name: event.target.value })}
          />
        </Field>
        <Field label={say.whichHost} hint={say.whatSitsGoesAlong} at="host">
          <Select
            value={given.host}
            onChange={(host: string) => setGiven({ ...given, host, on: null })}
            options={desk.hosts.map((host) => ({ value: host.id, label: host.name }))}
          />
        </Field>
        {(device.may_sit.length > 0 || device.seat) && given.host === device.host && (
          <Field label={say.sitsPlugsInto} at="on">
            <Select
              value={given.on ? JSON.stringify({ device: given.on.device, place: given.on.place }) : ''}
              onChange={(value: string) =>
                setGiven({
                  ...given,
                  on: value ? (JSON.parse(value) as { device: string; place: string }) : null,
                })
              }
              options={[
                { value: '', label: say.doesNothing },
                ...device.may_sit.map(({ device: carrier, place, words }) => ({
                  value: JSON.stringify({ device: carrier, place }),
                  label: words,
                })),
              ]}
            />
          </Field>
        )}
        <Field label={say.versionAlone} hint={say.whenChangesStepsThat} at="version">
          <Input
            maxLength={40}
            value={given.version ?? ''}
            onChange={(event) => setGiven({ ...given, version: event.target.value || null })}
          />
        </Field>
        <HowWorked value={given} onChange={(name, words) => setGiven({ ...given, [name]: words || null })} />
        <Button type="primary" htmlType="submit" loading={busy}>
          {say.save}
        </Button>
      </FormOf>
    </SideSheet>
  )
}
