import { Button, Select } from 'antd'
import { useState, type ReactNode } from 'react'
import type { Button as ButtonData, Change, Desk, Gesture } from '../../shared/api'
import { useFormChange, usePreview, type Spot } from '../../shared/fitting'
import { ButtonField, Field, FormOf, SideSheet } from '../../shared/ui'
import { GesturePicker, WhatChanges } from '../assign'
import { say } from './sentences'

interface Props {
  desk: Desk
  title: string
  buttons: ButtonData[]
  spot: Spot
  /** The only gesture that can carry it, where there is but one. */
  only?: Gesture | undefined
  /** What is asked besides. */
  children?: ReactNode
  make: (on: { button: string; gesture: Gesture; place: string }) => Change
  said: (button: string) => string
  onClose: () => void
}

/** Gives something that was made a button: which, on which gesture, where; with what that changes. */
export function OnButtonSheet({ desk, title, buttons, spot, only, children, make, said, onClose }: Props) {
  const { change, busy, refused, openedOn, catchUp } = useFormChange()
  const [button, setButton] = useState<string>()
  const [place, setPlace] = useState(spot.place)
  const [chosen, setChosen] = useState<Gesture>('long_press')
  const made = button ? make({ button, gesture: only ?? chosen, place }) : undefined
  const preview = usePreview(desk.id, made, openedOn)
  const onSubmit = async () => {
    const name = buttons.find((one) => one.ref === button)?.full_name ?? ''
    if (made && (await change(made, said(name), { tell: true }))) onClose()
  }
  return (
    <SideSheet title={title} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <ButtonField label={say.button} at="button" buttons={buttons} value={button} onChange={setButton} />
        <Field label={say.place} at="place">
          <Select
            value={place}
            onChange={setPlace}
            options={desk.places.map((one) => ({ value: one.id, label: one.name }))}
          />
        </Field>
        {children}
        {!only && <GesturePicker gesture={chosen} onGesture={setChosen} />}
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
