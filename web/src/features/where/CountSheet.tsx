import { Button } from 'antd'
import { useState } from 'react'
import type { Button as ButtonData, Desk } from '../../shared/api'
import { useFormChange, usePreview } from '../../shared/fitting'
import { ButtonField, FormOf, SideSheet } from '../../shared/ui'
import { ActionField, choose, meant, WhatChanges, type ActionChoice } from '../assign'
import { say } from './sentences'

const COUNTS = [
  { gesture: 'tap', label: say.once },
  { gesture: 'double_tap', label: say.twice },
  { gesture: 'triple_tap', label: say.thrice },
] as const

/** While one button is held, presses of another are counted. */
export function CountSheet(props: { desk: Desk; buttons: ButtonData[]; onClose: () => void }) {
  const { desk, buttons, onClose } = props
  const { change, busy, refused, openedOn, catchUp } = useFormChange()
  const [held, setHeld] = useState<string>()
  const [counted, setCounted] = useState<string>()
  const [choices, setChoices] = useState<Record<string, ActionChoice>>({})
  const actions = COUNTS.map(
    ({ gesture }) => [gesture, meant(choices[gesture] ?? choose(undefined))] as const,
  )
  const whole = actions.every(([, action]) => action !== undefined)
  const counts = Object.fromEntries(actions.filter(([, action]) => action))
  const ready = held && counted && whole && Object.keys(counts).length > 0
  const made = ready ? { kind: 'hold_and_count' as const, held, counted, counts } : undefined
  const preview = usePreview(desk.id, made, openedOn)
  const nameOf = (ref: string) => buttons.find((one) => one.ref === ref)?.full_name ?? ref
  const onSubmit = async () => {
    if (!made) return
    if (await change(made, say.counting(nameOf(made.held), nameOf(made.counted)), { tell: true })) onClose()
  }
  return (
    <SideSheet title={say.countTitle} onClose={onClose}>
      <p>{say.countAbout}</p>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <ButtonField label={say.held} at="held" buttons={buttons} value={held} onChange={setHeld} />
        <ButtonField
          label={say.counted}
          at="counted"
          buttons={buttons}
          value={counted}
          onChange={setCounted}
        />
        {COUNTS.map(({ gesture, label }) => (
          <ActionField
            key={gesture}
            label={label}
            value={choices[gesture] ?? choose(undefined)}
            onChange={(choice) => setChoices({ ...choices, [gesture]: choice })}
          />
        ))}
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
