import { Button, Input, Select } from 'antd'
import { useState, type FormEvent } from 'react'
import type { Desk, DeviceFacts, Kind } from '../../shared/api'
import { useChange, useDevices, useKinds } from '../../shared/fitting'
import { DeviceDrawing, Field, SideSheet } from '../../shared/ui'
import { HowWorked } from './HowWorked'
import styles from './devices.module.css'

const fits = (kind: Kind, words: string) => {
  const has = `${kind.name} ${kind.words}`.toLowerCase()
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => has.includes(word))
}

interface Props {
  desk: Desk
  onClose: () => void
}

/** A device is made from a general kind: choose one, then where it is and what works it. */
export function AddDeviceSheet({ desk, onClose }: Props) {
  const kinds = useKinds()
  const [words, setWords] = useState('')
  const [kind, setKind] = useState<Kind>()
  return (
    <SideSheet title={kind ? `Add: ${kind.name}` : 'Add a device'} onClose={onClose}>
      {kind ? (
        <Placing desk={desk} kind={kind} onClose={onClose} onBack={() => setKind(undefined)} />
      ) : (
        <>
          <Field label="Find a kind">
            <Input
              type="search"
              value={words}
              placeholder="mouse, switch, breath …"
              onChange={(event) => setWords(event.target.value)}
            />
          </Field>
          <ul className={styles.kinds}>
            {(kinds.data ?? [])
              .filter((one) => fits(one, words.trim()))
              .map((one) => (
                <li key={one.id}>
                  <button type="button" onClick={() => setKind(one)}>
                    <DeviceDrawing drawing={one.drawing} height={44} />
                    <span>
                      <strong>{one.name}</strong>
                      <small>for {one.systems.join(', ')}</small>
                    </span>
                  </button>
                </li>
              ))}
          </ul>
        </>
      )}
    </SideSheet>
  )
}

function freePlaces(kind: Kind, host: string, devices: DeviceFacts[]) {
  const carriers = devices.filter((one) => one.host === host && kind.sits_on.includes(one.kind ?? ''))
  return carriers.flatMap((carrier) =>
    carrier.seats
      .filter((seat) => seat.device === null)
      .map((seat) => ({
        value: JSON.stringify({ device: carrier.id, place: seat.place }),
        label: `${carrier.name}, ${seat.place}`,
      })),
  )
}

function Placing(props: Props & { kind: Kind; onBack: () => void }) {
  const { desk, kind, onClose, onBack } = props
  const { change, busy } = useChange()
  const facts = useDevices(desk.id)
  const hosts = desk.hosts.filter((host) => kind.systems.includes(host.system))
  const [host, setHost] = useState(hosts[0]?.id ?? '')
  const [variant, setVariant] = useState(kind.variants[0]?.id)
  const [seat, setSeat] = useState('')
  const [given, setGiven] = useState({ name: '', version: '', worked_with: '', mounting: '', posture: '' })
  const places = freePlaces(kind, host, facts.data?.devices ?? [])
  const text = (name: keyof typeof given) => ({
    value: given[name],
    maxLength: 120,
    onChange: (event: { target: { value: string } }) => setGiven({ ...given, [name]: event.target.value }),
  })

  const onSubmit = async (event: FormEvent) => {
    event.preventDefault()
    const said = Object.fromEntries(Object.entries(given).filter(([, value]) => value.trim() !== ''))
    const made = {
      kind: 'add_device' as const,
      of: kind.id,
      host,
      ...said,
      ...(variant ? { variant } : {}),
      ...(seat ? { on: JSON.parse(seat) as { device: string; place: string } } : {}),
    }
    if (await change(made, `${given.name || kind.name} is added.`)) onClose()
  }
  if (hosts.length === 0)
    return (
      <>
        <p>
          None of the hosts is {kind.systems.join(' or ')}: there {kind.name.toLowerCase()} can’t be used. Add
          such a host first.
        </p>
        <Button onClick={onBack}>Another kind</Button>
      </>
    )
  return (
    <form onSubmit={(event) => void onSubmit(event)}>
      <Field label="At which host">
        <Select
          value={host}
          onChange={setHost}
          options={hosts.map((one) => ({ value: one.id, label: one.name }))}
        />
      </Field>
      {kind.variants.length > 0 && (
        <Field label="Which">
          <Select
            value={variant ?? ''}
            onChange={setVariant}
            options={kind.variants.map((one) => ({ value: one.id, label: one.name }))}
          />
        </Field>
      )}
      {places.length > 0 && (
        <Field label="Sits on or plugs into">
          <Select value={seat} onChange={setSeat} options={[{ value: '', label: 'nothing' }, ...places]} />
        </Field>
      )}
      <Field label="Name" hint="Left empty, the kind’s own name.">
        <Input {...text('name')} />
      </Field>
      {kind.versions.length > 0 && (
        <Field label="Version" hint={`For example ${kind.versions.join(', ')}. Not known: leave it empty.`}>
          <Input {...text('version')} maxLength={40} />
        </Field>
      )}
      <HowWorked value={given} onChange={(name, words) => setGiven({ ...given, [name]: words })} />
      <Button type="primary" htmlType="submit" loading={busy}>
        Add it
      </Button>
      <Button onClick={onBack}>Another kind</Button>
    </form>
  )
}
