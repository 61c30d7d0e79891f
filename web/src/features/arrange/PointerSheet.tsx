import { Button, InputNumber, Select } from 'antd'
import { useState } from 'react'
import type { Button as ButtonData, Desk, Device } from '../../shared/api'
import { useFormChange, usePreview, type Spot } from '../../shared/fitting'
import { ButtonField, Field, FormOf, SideSheet } from '../../shared/ui'
import { WhatChanges } from '../assign'
import { PointerCurve } from './PointerCurve'
import { say } from './sentences'

const DIRECTIONS = ['up', 'right', 'down', 'left'] as const
type Direction = (typeof DIRECTIONS)[number]
const FASTER = (['no', 'slowly', 'quickly'] as const).map((value) => ({ value, label: say.faster[value] }))

interface Settings {
  step_px: number
  faster: (typeof FASTER)[number]['value']
  after_ms: number
  every_ms: number
}
/** A step of about 15 is fast enough to start with: common practice, no source. */
const FIRST: Settings = { step_px: 15, faster: 'slowly', after_ms: 400, every_ms: 50 }

/** Four buttons, a pad or a stick move the pointer, and two others click: all in one go. */
export function PointerSheet(props: { desk: Desk; spot: Spot; onClose: () => void }) {
  const { desk, spot, onClose } = props
  const { change, busy, refused, openedOn, catchUp } = useFormChange()
  const [chosen, setChosen] = useState<Partial<Record<Direction, string>>>(() => firstPad(desk))
  const [clicks, setClicks] = useState<Partial<Record<'left' | 'right', string>>>({})
  const [settings, setSettings] = useState(FIRST)
  const whole = DIRECTIONS.every((one) => chosen[one])
  const made = whole
    ? {
        kind: 'point' as const,
        directions: chosen,
        clicks: given(clicks),
        step_px: settings.step_px,
        faster: settings.faster,
        repeat: { after_ms: settings.after_ms, every_ms: settings.every_ms },
        ...spot,
      }
    : undefined
  const preview = usePreview(desk.id, made, openedOn)
  const host = desk.hosts.find((one) => devicesWith(one.devices, chosen.right))
  const buttons = desk.hosts.flatMap((one) => one.devices.flatMap((device) => device.buttons))
  const field = (
    label: string,
    at: string,
    value: string | undefined,
    put: (ref: string | undefined) => void,
  ) => <ButtonField key={at} label={label} at={at} optional buttons={buttons} value={value} onChange={put} />
  const number = (label: string, name: 'step_px' | 'after_ms' | 'every_ms', from: number, to: number) => (
    <Field label={label}>
      <InputNumber
        min={from}
        max={to}
        precision={0}
        value={settings[name]}
        onChange={(value) => setSettings({ ...settings, [name]: value ?? FIRST[name] })}
      />
    </Field>
  )
  const onSubmit = async () => {
    if (made && (await change(made, say.pointerSet, { tell: true }))) onClose()
  }
  return (
    <SideSheet title={say.pointerByButtons} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        {DIRECTIONS.map((one) =>
          field(say.direction[one], one, chosen[one], (ref) => setChosen({ ...chosen, [one]: ref })),
        )}
        {field(say.clicksLeft, 'left-click', clicks.left, (ref) => setClicks({ ...clicks, left: ref }))}
        {field(say.clicksRight, 'right-click', clicks.right, (ref) => setClicks({ ...clicks, right: ref }))}
        {number(say.stepPx, 'step_px', 1, 400)}
        {number(say.goesOnAfter, 'after_ms', 50, 5000)}
        {number(say.thenEvery, 'every_ms', 10, 2000)}
        <Field label={say.whileHeld}>
          <Select
            value={settings.faster}
            onChange={(faster) => setSettings({ ...settings, faster })}
            options={FASTER}
          />
        </Field>
        {host && <PointerCurve client={desk.id} host={host.id} settings={settings} />}
        {made && (
          <WhatChanges
            preview={preview.data}
            refusal={preview.error}
            working={preview.working}
            onCatchUp={catchUp}
          />
        )}
        <Button type="primary" htmlType="submit" loading={busy} disabled={!made || !preview.data}>
          {whole ? say.putPointer : say.chooseFour}
        </Button>
      </FormOf>
    </SideSheet>
  )
}

const given = (clicks: Partial<Record<'left' | 'right', string>>) => ({
  ...(clicks.left ? { left: clicks.left } : {}),
  ...(clicks.right ? { right: clicks.right } : {}),
})

const devicesWith = (devices: Device[], ref: string | undefined) =>
  devices.some((device) => device.buttons.some((button) => button.ref === ref))

/** A device that has all four directions, where there is one. */
function firstPad(desk: Desk): Partial<Record<Direction, string>> {
  const devices = desk.hosts.flatMap((host) => host.devices)
  const named = (buttons: ButtonData[], direction: Direction) =>
    buttons.find((button) => button.ref.endsWith(`/${direction}`))?.ref
  const pad = devices.find((device) => DIRECTIONS.every((one) => named(device.buttons, one)))
  if (!pad) return {}
  return Object.fromEntries(DIRECTIONS.map((one) => [one, named(pad.buttons, one)]))
}
