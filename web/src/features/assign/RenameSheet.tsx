import { Button, Input, InputNumber } from 'antd'
import { useState } from 'react'
import type { Button as ButtonData } from '../../shared/api'
import { useFormChange } from '../../shared/fitting'
import { Field, SideSheet, FormOf } from '../../shared/ui'
import { OwnTimes } from './OwnTimes'
import { say } from './sentences'

/** Another name, what is printed on it, and times of its own. */
export function RenameSheet({ button, onClose }: { button: ButtonData; onClose: () => void }) {
  const { change, busy, refused } = useFormChange()
  const [name, setName] = useState(button.name)
  const [print, setPrint] = useState(button.print)
  const [effort, setEffort] = useState<number | null>(button.effort_s ?? null)
  const onSubmit = async () => {
    const set = { name, print: print || null, effort_s: effort || null }
    if (await change({ kind: 'button', button: button.ref, set }, say.called(name))) onClose()
  }
  return (
    <SideSheet title={say.name(button.name)} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <Field label={say.nameAlone} at="name">
          <Input required maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label={say.printed} at="print">
          <Input maxLength={120} value={print} onChange={(event) => setPrint(event.target.value)} />
        </Field>
        <Field label={say.effort} hint={say.effortHow} at="effort_s">
          <InputNumber min={0} max={60} step={0.5} value={effort} onChange={setEffort} />
        </Field>
        <Button type="primary" htmlType="submit" loading={busy} disabled={name.trim() === ''}>
          {say.callThat}
        </Button>
      </FormOf>
      <OwnTimes button={button.ref} />
    </SideSheet>
  )
}
