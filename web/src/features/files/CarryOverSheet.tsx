import { useQuery } from '@tanstack/react-query'
import { Button, Checkbox, Select } from 'antd'
import { useMemo, useState } from 'react'
import { api, keys, must, type Change, type Desk } from '../../shared/api'
import { useFormChange, usePreview } from '../../shared/fitting'
import { Field, SideSheet } from '../../shared/ui'
import { Looked } from './Looked'
import { useBrought } from './sources'
import { say } from './sentences'
import styles from './files.module.css'

const FILE = 'file'
const NEW = ''

interface Named {
  id: string
  name?: string
}

/** What of a fitting file one chooses from. */
interface Source {
  devices?: Named[]
  places?: Named[]
}

/** Devices of another client, another host or a file, with what is on them. */
export function CarryOverSheet({ desk, onClose }: { desk: Desk; onClose: () => void }) {
  const { brought: file } = useBrought(desk.id)
  const [from, setFrom] = useState(file ? FILE : desk.id)
  const [search, setSearch] = useState('')
  const clients = useQuery({
    queryKey: keys.carryFrom(search),
    queryFn: () => must(api.GET('/api/clients', { params: { query: { search } } })),
    placeholderData: (before) => before,
  })
  const document = useSource(from, file?.document)
  const others = clients.data?.clients.filter(({ id }) => id !== desk.id) ?? []
  const options = [
    ...(file ? [{ value: FILE, label: `${say.fromFile}: ${file.name}` }] : []),
    { value: desk.id, label: say.this(desk.name) },
    ...others.map(({ id, name }) => ({ value: id, label: name })),
  ]
  return (
    <SideSheet title={say.carry} onClose={onClose}>
      <p>{say.carryHow}</p>
      <Field label={say.from}>
        <Select
          value={from}
          options={options}
          showSearch={{ filterOption: false, onSearch: setSearch }}
          onChange={setFrom}
        />
      </Field>
      {document.error && <p role="alert">{document.error.message}</p>}
      {document.data && <Choose key={from} desk={desk} document={document.data} onClose={onClose} />}
    </SideSheet>
  )
}

/** The document of what is carried over from. */
function useSource(from: string, file: Record<string, unknown> | undefined) {
  return useQuery({
    queryKey: keys.fittingFile(from),
    queryFn: async (): Promise<Record<string, unknown>> =>
      from === FILE
        ? (file ?? {})
        : must(api.GET('/api/clients/{client}/fitting', { params: { path: { client: from } } })),
    staleTime: 0,
  })
}

const named = ({ id, name }: Named) => ({ value: id, label: name ?? id })

function Choose(props: { desk: Desk; document: Record<string, unknown>; onClose: () => void }) {
  const { desk, document, onClose } = props
  const { devices = [], places = [] } = document as Source
  const [chosen, setChosen] = useState<readonly string[]>([])
  const [onto, setOnto] = useState<ReadonlyMap<string, string>>(new Map())
  const [host, setHost] = useState(desk.hosts[0]?.id ?? '')
  const [ofPlaces, setOfPlaces] = useState<string[]>([])
  const [assignments, setAssignments] = useState(true)
  const [timing, setTiming] = useState(true)
  const { change, busy, openedOn, catchUp } = useFormChange()
  const there = desk.hosts.find(({ id }) => id === host)?.devices ?? []
  const made = useMemo((): Change | undefined => {
    if (chosen.length === 0) return undefined
    const sent = chosen.map((id) => {
      const target = onto.get(id)
      return target ? { id, onto: target } : { id }
    })
    const some = ofPlaces.length > 0 ? { places: ofPlaces } : {}
    return { kind: 'carry_over', document, devices: sent, host, assignments, timing, ...some }
  }, [chosen, onto, host, ofPlaces, assignments, timing, document])
  const preview = usePreview(desk.id, made, openedOn)
  const carry = async () => {
    if (made && (await change(made, say.carried))) onClose()
  }
  return (
    <>
      <fieldset className={styles.choices}>
        <legend>{say.devices}</legend>
        <Checkbox.Group
          className={styles.stack}
          value={[...chosen]}
          options={devices.map(named)}
          onChange={(ids) => setChosen(ids)}
        />
      </fieldset>
      <Field label={say.host}>
        <Select
          value={host}
          onChange={(id) => {
            setHost(id)
            setOnto(new Map())
          }}
          options={desk.hosts.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </Field>
      {chosen.map((id) => (
        <Field key={id} label={say.becomes(devices.find((one) => one.id === id)?.name ?? id)}>
          <Select
            value={onto.get(id) ?? NEW}
            onChange={(target) => setOnto(new Map(onto).set(id, target))}
            options={[
              { value: NEW, label: say.asNew },
              ...there.map((one) => ({ value: one.id, label: say.onto(one.name) })),
            ]}
          />
        </Field>
      ))}
      <fieldset className={styles.choices}>
        <legend>{say.along}</legend>
        <div className={styles.stack}>
          <Checkbox checked={assignments} onChange={({ target }) => setAssignments(target.checked)}>
            {say.assignments}
          </Checkbox>
          <Checkbox checked={timing} onChange={({ target }) => setTiming(target.checked)}>
            {say.timing}
          </Checkbox>
        </div>
      </fieldset>
      {places.length > 0 && assignments && (
        <Field label={say.places}>
          <Select
            mode="multiple"
            value={ofPlaces}
            placeholder={say.everyPlace}
            onChange={setOfPlaces}
            options={places.map(named)}
          />
        </Field>
      )}
      {made ? <Looked preview={preview} onCatchUp={catchUp} /> : <p>{say.chooseDevices}</p>}
      <Button type="primary" loading={busy} disabled={!preview.data} onClick={() => void carry()}>
        {say.carryOver}
      </Button>
    </>
  )
}
