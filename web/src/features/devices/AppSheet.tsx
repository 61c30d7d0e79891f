import { Button, Checkbox, Input } from 'antd'
import { useState } from 'react'
import type { App, Desk, Host } from '../../shared/api'
import { useFormChange } from '../../shared/fitting'
import { Field, SideSheet, FormOf } from '../../shared/ui'
import { KeysField } from '../assign'
import { SYSTEMS } from './systems'
import styles from './devices.module.css'
import { say } from './sentences'

interface Command {
  /** Of the row, for as long as the sheet is open. */
  row: number
  id?: string
  name: string
  keys: string[]
}

const EVERYWHERE = SYSTEMS.map((one) => one.value)

/** An app of the client: new, or an old one changed. */
export function AppSheet(props: { desk: Desk; id: string | undefined; onClose: () => void }) {
  const { desk, id, onClose } = props
  const app = desk.apps.find((one) => one.id === id)
  const { change, busy, refused } = useFormChange()
  const [name, setName] = useState(app?.name ?? '')
  const [hosts, setHosts] = useState<Host['system'][]>(app?.hosts ?? EVERYWHERE)
  const [commands, setCommands] = useState<Command[]>(() =>
    (app?.commands ?? []).map((command, row) => ({ row, ...command })),
  )
  const onSubmit = async () => {
    const said = commands
      .filter((command) => command.name.trim())
      .map(({ id: of, name: called, keys }) => ({
        ...(of ? { id: of } : {}),
        name: called,
        keys: keys.length > 0 ? keys : null,
      }))
    const put = { ...(app ? { id: app.id } : {}), name, hosts, commands: said }
    if (await change({ kind: 'app', app: put }, app ? say.isChanged(name) : say.isAdded(name))) onClose()
  }
  const remove = async (gone: App) => {
    if (await change({ kind: 'remove_app', id: gone.id }, say.removed(gone.name))) onClose()
  }
  const put = (changed: Command) =>
    setCommands(commands.map((one) => (one.row === changed.row ? changed : one)))
  return (
    <SideSheet title={app ? app.name : say.addApp} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <Field label={say.name} at="name">
          <Input required maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <fieldset className={styles.plain}>
          <legend>{say.exists}</legend>
          <Checkbox.Group options={SYSTEMS} value={hosts} onChange={setHosts} />
        </fieldset>
        {commands.map((command, index) => (
          <CommandFields
            key={command.row}
            command={command}
            number={index + 1}
            onChange={put}
            onRemove={() => setCommands(commands.filter((one) => one !== command))}
          />
        ))}
        <Button
          onClick={() =>
            setCommands([
              ...commands,
              { row: Math.max(-1, ...commands.map((one) => one.row)) + 1, name: '', keys: [] },
            ])
          }
        >
          {say.addCommand}
        </Button>
        <Button type="primary" htmlType="submit" loading={busy} disabled={!name.trim() || hosts.length === 0}>
          {app ? say.save : say.addAlone}
        </Button>
        {app?.written && (
          <Button danger onClick={() => void remove(app)}>
            {say.removeApp}
          </Button>
        )}
      </FormOf>
    </SideSheet>
  )
}

function CommandFields(props: {
  command: Command
  number: number
  onChange: (command: Command) => void
  onRemove: () => void
}) {
  const { command, number, onChange, onRemove } = props
  return (
    <fieldset className={styles.plain}>
      <legend>{say.command(String(number))}</legend>
      <Field label={say.whatDoes} at="command">
        <Input
          maxLength={120}
          value={command.name}
          onChange={(event) => onChange({ ...command, name: event.target.value })}
        />
      </Field>
      <KeysField value={command.keys} onChange={(chosen) => onChange({ ...command, keys: chosen })} />
      <Button aria-label={say.takeAwayCommand(String(number))} onClick={onRemove}>
        {say.takeAway}
      </Button>
    </fieldset>
  )
}
