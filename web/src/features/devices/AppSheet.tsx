import { useQuery } from '@tanstack/react-query'
import { Button, Checkbox, Input, Select } from 'antd'
import { useState } from 'react'
import { keys, api, must, type App, type Desk, type Host } from '../../shared/api'
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
  const [offered, setOffered] = useState(app?.offered ?? false)
  const others = useOffered(desk.id, app === undefined)
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
    const put = { ...(app ? { id: app.id } : {}), name, hosts, offered, commands: said }
    if (await change({ kind: 'app', app: put }, app ? say.isChanged(name) : say.isAdded(name))) onClose()
  }
  const remove = async (gone: App) => {
    if (await change({ kind: 'remove_app', id: gone.id }, say.removed(gone.name))) onClose()
  }
  const take = (chosen: string) => {
    const one = others.find((other) => other.name === chosen)
    if (!one) return
    setName(one.name)
    setHosts(one.hosts)
    setCommands(one.commands.map((command, row) => ({ row, name: command.name, keys: command.keys ?? [] })))
  }
  const put = (changed: Command) =>
    setCommands(commands.map((one) => (one.row === changed.row ? changed : one)))
  return (
    <SideSheet title={app ? app.name : say.addApp} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        {others.length > 0 && (
          <Field label={say.takeOffered} hint={say.takeOfferedHint}>
            <Select
              showSearch
              value={null}
              placeholder={say.noneTaken}
              options={others.map((one) => ({ value: one.name, label: offeredWords(one) }))}
              onChange={take}
            />
          </Field>
        )}
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
        <Checkbox checked={offered} onChange={(event) => setOffered(event.target.checked)}>
          {say.offerIt}
        </Checkbox>
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

interface Offered {
  name: string
  hosts: Host['system'][]
  commands: { name: string; keys: string[] | null }[]
}

const offeredWords = ({ name, commands }: Offered) =>
  [name, ...commands.map((command) => command.name)].slice(0, 4).join(' · ')

/** What others of the service offer that this client doesn’t have. */
function useOffered(client: string, enabled: boolean): Offered[] {
  const answer = useQuery({
    queryKey: keys.offeredApps(client),
    queryFn: async () =>
      (await must(api.GET('/api/clients/{client}/offered-apps', { params: { path: { client } } }))).apps,
    enabled,
  })
  return answer.data ?? []
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
