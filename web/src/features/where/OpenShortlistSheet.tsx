import { Button, Select } from 'antd'
import { useState } from 'react'
import type { Desk, Gesture } from '../../shared/api'
import { useFormChange, usePreview, useWhere, type Spot } from '../../shared/fitting'
import { ButtonField, Field, FormOf, SideSheet } from '../../shared/ui'
import { GesturePicker, WhatChanges } from '../assign'
import { say } from './sentences'

/** Which button opens a shortlist, with what. */
export function OpenShortlistSheet(props: { desk: Desk; id: string; spot: Spot; onClose: () => void }) {
  const { desk, id, spot, onClose } = props
  const list = useWhere(desk.id).data?.shortlists.find((one) => one.id === id)
  const { change, busy, refused, openedOn, catchUp } = useFormChange()
  const host = desk.hosts.find((one) => one.id === list?.host)
  const buttons = (host?.devices ?? []).flatMap((device) => device.buttons)
  const [button, setButton] = useState<string>()
  const [place, setPlace] = useState(spot.place)
  const [gesture, setGesture] = useState<Gesture>('long_press')
  const made = button
    ? { kind: 'open_shortlist' as const, shortlist: id, button, gesture, place, mode: 'base' }
    : undefined
  const preview = usePreview(desk.id, made, openedOn)
  if (!list) return null
  const onSubmit = async () => {
    const name = buttons.find((one) => one.ref === button)?.full_name ?? ''
    if (made && (await change(made, say.opens(name, list.name), { tell: true }))) onClose()
  }
  return (
    <SideSheet title={say.openWithOf(list.name)} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <ButtonField label={say.button} at="button" buttons={buttons} value={button} onChange={setButton} />
        <Field label={say.place} at="place">
          <Select
            value={place}
            onChange={setPlace}
            options={desk.places.map((one) => ({ value: one.id, label: one.name }))}
          />
        </Field>
        <GesturePicker gesture={gesture} onGesture={setGesture} />
        {made && (
          <WhatChanges
            preview={preview.data}
            refusal={preview.error}
            working={preview.working}
            onCatchUp={catchUp}
          />
        )}
        <Button type="primary" htmlType="submit" loading={busy} disabled={!made || !preview.data}>
          {say.put}
        </Button>
      </FormOf>
    </SideSheet>
  )
}
