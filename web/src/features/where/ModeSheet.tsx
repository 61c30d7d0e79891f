import { Button, Input, Radio } from 'antd'
import { useState } from 'react'
import type { Desk, Mode } from '../../shared/api'
import { useFormChange, useWhere } from '../../shared/fitting'
import { Field, FormOf, SideSheet } from '../../shared/ui'
import { say } from './sentences'

const OTHERWISE = (['base', 'builtin', 'nothing'] as const).map((value) => ({
  value,
  label: say.otherwiseWords[value],
}))

const COUNTING = (['by_gap', 'while_held'] as const).map((value) => ({
  value,
  label: say.countingWords[value],
}))

/** A mode that is there, or a new one. */
export function ModeSheet(props: { desk: Desk; id: string | undefined; onClose: () => void }) {
  const { desk, id, onClose } = props
  const mode = useWhere(desk.id).data?.modes.find((one) => one.id === id)
  return id === undefined || mode ? <Details key={id ?? ''} mode={mode} onClose={onClose} /> : null
}

function Details({ mode, onClose }: { mode: Mode | undefined; onClose: () => void }) {
  const { change, busy, refused } = useFormChange()
  const [name, setName] = useState(mode?.name ?? '')
  const [otherwise, setOtherwise] = useState<Mode['otherwise']>(mode?.otherwise ?? 'base')
  const [counting, setCounting] = useState<Mode['counting']>(mode?.counting ?? 'by_gap')
  const onSubmit = async () => {
    const said = { name: name.trim(), otherwise, counting }
    const made = { kind: 'mode' as const, mode: mode ? { id: mode.id, ...said } : said }
    const words = mode ? say.modeChanged(said.name) : say.modeAdded(said.name)
    if (said.name && (await change(made, words, { tell: true }))) onClose()
  }
  const takeOut = async (gone: Mode) => {
    if (await change({ kind: 'remove_mode', id: gone.id }, say.takenOut(gone.name), { tell: true })) onClose()
  }
  return (
    <SideSheet title={mode?.name ?? say.newMode} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <Field label={say.modeName} hint={say.modeNameHint} at="name">
          <Input required maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label={say.otherwise} at="otherwise">
          <Radio.Group
            vertical
            value={otherwise}
            options={OTHERWISE}
            onChange={(event) => setOtherwise(event.target.value as Mode['otherwise'])}
          />
        </Field>
        <Field label={say.countingIs} at="counting">
          <Radio.Group
            vertical
            value={counting}
            options={COUNTING}
            onChange={(event) => setCounting(event.target.value as Mode['counting'])}
          />
        </Field>
        <Button type="primary" htmlType="submit" loading={busy} disabled={!name.trim()}>
          {mode ? say.save : say.add}
        </Button>
        {mode && (
          <Button danger onClick={() => void takeOut(mode)}>
            {say.takeOut}
          </Button>
        )}
      </FormOf>
    </SideSheet>
  )
}
