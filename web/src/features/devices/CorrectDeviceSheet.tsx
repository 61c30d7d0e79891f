import { Button } from 'antd'
import { useState } from 'react'
import type { Change, Desk, DeviceFacts } from '../../shared/api'
import { useDevices, useFormChange, usePreview } from '../../shared/fitting'
import { FormOf, SideSheet } from '../../shared/ui'
import { WhatChanges } from '../assign'
import { CarriesFields, useServiceKinds, type Carried } from '../kinds'
import { say } from './sentences'

/** Puts right what one device carries where it is: this model, this firmware. */
export function CorrectDeviceSheet({ desk, id, onClose }: { desk: Desk; id: string; onClose: () => void }) {
  const device = useDevices(desk.id).data?.devices.find((one) => one.id === id)
  if (!device?.carried) return null
  return (
    <SideSheet title={say.putRightOf(device.name)} onClose={onClose}>
      <Details desk={desk} device={device} carried={device.carried as Carried} onClose={onClose} />
    </SideSheet>
  )
}

function Details(props: { desk: Desk; device: DeviceFacts; carried: Carried; onClose: () => void }) {
  const { desk, device, carried, onClose } = props
  const settings = useServiceKinds().data?.settings ?? []
  const { change, busy, refused, openedOn, catchUp } = useFormChange()
  const [now, setNow] = useState(carried)
  const set = differences(carried, now)
  const made: Change = { kind: 'correct_device', device: device.id, set }
  const whole = Object.keys(set).length > 0 && now.gestures.length > 0
  const preview = usePreview(desk.id, whole ? made : undefined, openedOn)
  const onSubmit = async () => {
    if (whole && (await change(made, say.isPutRight(device.name), { tell: true }))) onClose()
  }
  const asItsKind = async () => {
    const back: Change = { kind: 'correct_device', device: device.id, set: null }
    if (await change(back, say.isAsItsKind(device.name), { tell: true })) onClose()
  }
  return (
    <FormOf onSubmit={onSubmit} refused={refused}>
      <p>{say.putRightAbout}</p>
      {settings.length > 0 && (
        <CarriesFields
          carries={now}
          at="corrected"
          settings={settings}
          onChange={(members) => setNow({ ...now, ...members })}
        />
      )}
      {whole && (
        <WhatChanges
          preview={preview.data}
          refusal={preview.error}
          working={preview.working}
          onCatchUp={catchUp}
        />
      )}
      <Button type="primary" htmlType="submit" loading={busy} disabled={!whole || !preview.data}>
        {say.putRight}
      </Button>
      {device.corrected && (
        <Button onClick={() => void asItsKind()}>
          {device.kind_name ? say.asItsKind(device.kind_name) : say.nothingKnownAgain}
        </Button>
      )}
    </FormOf>
  )
}

/** Only what was said: the rest stays as its kind has it, whatever that comes to be. A setting that takes any value is null. */
function differences(before: Carried, now: Carried) {
  const names = [...new Set([...Object.keys(before.settable), ...Object.keys(now.settable)])]
  const other = names.filter((name) => !same(before.settable[name], now.settable[name]))
  const gestures = same([...before.gestures].sort(), [...now.gestures].sort())
    ? {}
    : { gestures: now.gestures }
  const modes = now.modes === undefined || now.modes === before.modes ? {} : { modes: now.modes }
  const settable = Object.fromEntries(other.map((name) => [name, now.settable[name] ?? null]))
  return { ...gestures, ...modes, ...(other.length > 0 ? { settable } : {}) }
}

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other)
