import { AutoComplete, Button, Checkbox, Input, Radio } from 'antd'
import { useState } from 'react'
import type { Desk, Place, Where } from '../../shared/api'
import { useFormChange, useWhere } from '../../shared/fitting'
import { Field, FormOf, SideSheet } from '../../shared/ui'
import { say } from './sentences'

const KINDS = [
  { value: 'app', label: say.wholeApp },
  { value: 'part', label: say.partOfApp },
  { value: 'screen', label: say.screenRegion },
]

/** A new place: an app, a part of one, or a region of the screen. */
export function NewPlaceSheet({ desk, onClose }: { desk: Desk; onClose: () => void }) {
  const where = useWhere(desk.id).data
  const { change, busy, refused } = useFormChange()
  const [kind, setKind] = useState('app')
  const [app, setApp] = useState('')
  const [part, setPart] = useState('')
  const [name, setName] = useState('')
  const whole = kind !== 'screen' && app.trim() === ''
  const incomplete = whole || (kind !== 'app' && part.trim() === '')
  const there = refused?.problem.faults?.some((one) => one.where.endsWith('/app') && app.trim() !== '')
  const second = there && kind === 'app' ? secondOf(app.trim(), desk.apps) : undefined
  const knows = (where?.hosts ?? []).map(
    (host) => host.knows[kind === 'screen' ? 'region' : kind === 'part' ? 'part' : 'app'],
  )
  const onSubmit = () => add(app.trim())
  const add = async (called: string) => {
    if (incomplete) return
    const place = {
      app: kind === 'screen' ? 'screen' : { name: called },
      ...(kind === 'app' ? {} : { part: part.trim() }),
      ...(name.trim() ? { name: name.trim() } : {}),
    }
    if (await change({ kind: 'place', place }, say.placeAdded(name || part || called))) onClose()
  }
  return (
    <SideSheet title={say.newPlace} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <Field label={say.whatKind}>
          <Radio.Group
            value={kind}
            options={KINDS}
            onChange={(event) => setKind(event.target.value as string)}
          />
        </Field>
        {kind !== 'screen' && (
          <Field label={say.whichApp} hint={say.anotherApp} at="app">
            <AutoComplete
              value={app}
              onChange={setApp}
              options={openApps(where)}
              showSearch={{
                filterOption: (words, option) =>
                  (option?.value ?? '').toLowerCase().includes(words.toLowerCase()),
              }}
            />
          </Field>
        )}
        {second && <Button onClick={() => void add(second)}>{say.makeSecond(second)}</Button>}
        {kind !== 'app' && (
          <Field
            label={kind === 'screen' ? say.regionName : say.partName}
            hint={kind === 'screen' ? say.regionHint : say.partHint}
            at="part"
          >
            <Input maxLength={60} value={part} onChange={(event) => setPart(event.target.value)} />
          </Field>
        )}
        <p>{knows.map((words) => say.asSentence(words)).join(' ')}</p>
        <Field label={say.name} hint={say.nameHint} at="place">
          <Input maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Button type="primary" htmlType="submit" loading={busy} disabled={incomplete}>
          {say.add}
        </Button>
      </FormOf>
    </SideSheet>
  )
}

/** A name for another version of an app, that none of the client’s apps has yet. */
function secondOf(name: string, apps: Desk['apps']): string {
  const taken = new Set(apps.map((one) => one.name.toLowerCase()))
  for (let number = 2; ; number += 1) {
    const next = `${name} ${String(number)}`
    if (!taken.has(next.toLowerCase())) return next
  }
}

/** What is open, each with the hosts on which it is. */
function openApps(where: Where | undefined) {
  const found = new Map<string, string[]>()
  for (const host of where?.hosts ?? [])
    for (const app of host.apps) found.set(app.name, [...(found.get(app.name) ?? []), host.name])
  return [...found].map(([value, hosts]) => ({ value, label: say.openOn(value, hosts.join(', ')) }))
}

/** A place that is there: its name, whether it is in force, and the way out. */
export function PlaceSheet({ desk, id, onClose }: { desk: Desk; id: string; onClose: () => void }) {
  const place = useWhere(desk.id).data?.places.find((one) => one.id === id)
  return place ? <Details key={id} place={place} onClose={onClose} /> : null
}

function Details({ place, onClose }: { place: Place; onClose: () => void }) {
  const { change, busy, refused } = useFormChange()
  const [name, setName] = useState(place.name)
  const [off, setOff] = useState(place.off)
  const [afar, setAfar] = useState(place.off_from_afar)
  const onSubmit = async () => {
    const changed = { id: place.id, name: name.trim() || place.name, off, off_from_afar: afar }
    if (await change({ kind: 'place', place: changed }, say.placeChanged(changed.name))) onClose()
  }
  const takeOut = async () => {
    if (await change({ kind: 'remove_place', id: place.id }, say.takenOut(place.name), { tell: true }))
      onClose()
  }
  return (
    <SideSheet title={place.name} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <Field label={say.name} at="name">
          <Input maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Checkbox checked={!off} onChange={(event) => setOff(!event.target.checked)}>
          {say.inForce}
        </Checkbox>
        <Checkbox checked={afar} onChange={(event) => setAfar(event.target.checked)}>
          {say.offAfar}
        </Checkbox>
        <Button type="primary" htmlType="submit" loading={busy}>
          {say.save}
        </Button>
        <Button danger onClick={() => void takeOut()}>
          {say.takeOut}
        </Button>
      </FormOf>
    </SideSheet>
  )
}
