import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import type { Desk, Kind } from '../../shared/api'
import { useChange, useDevices, useKinds } from '../../shared/fitting'
import { documentOf, useServiceKinds } from '../kinds'
import { DeviceDrawing, Field, SideSheet } from '../../shared/ui'
import styles from './kinds.module.css'
import { OwnKinds } from './OwnKinds'
import { say } from './sentences'

const fits = (kind: Kind, words: string) => {
  const has = `${kind.name} ${kind.words}`.toLowerCase()
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => has.includes(word))
}

interface Wanted {
  kind: Kind
  /** Which of them, where there are several. */
  variant: string | undefined
}

interface Props {
  desk: Desk
  onClose: () => void
  /** To what is carried over from another client or host. */
  onCarry: () => void
}

/** Devices are made from general kinds: choose one or several. Where each is, and how it is worked, can be said later. */
export function AddDeviceSheet({ desk, onClose, onCarry }: Props) {
  const shipped = useKinds()
  const own = useDevices(desk.id).data?.kinds ?? []
  const kept = useServiceKinds().data?.kinds ?? []
  // Of what the client has already, its own edition counts.
  const more = kept.filter((kind) => own.every((one) => one.id !== kind.id))
  const kinds = [...own, ...more, ...(shipped.data ?? [])].sort((one, other) =>
    one.name.localeCompare(other.name),
  )
  const { change, busy } = useChange()
  const [words, setWords] = useState('')
  const [chosen, setChosen] = useState<readonly Wanted[]>([])
  const countOf = (kind: Kind) => chosen.filter((one) => one.kind.id === kind.id).length
  const less = (kind: Kind) =>
    setChosen((all) => {
      const at = all.map((one) => one.kind.id).lastIndexOf(kind.id)
      return all.filter((_, index) => index !== at)
    })
  const add = async () => {
    const missing = more.filter((kind) => chosen.some((one) => one.kind.id === kind.id))
    const documents = await Promise.all(missing.map((kind) => documentOf(kind.id)))
    const made = { kind: 'add_devices' as const, devices: chosen.map(sent), kinds: documents }
    if (await change(made, say.added(named(chosen)))) onClose()
  }
  const systems = new Set(desk.hosts.map((host) => host.system))
  return (
    <SideSheet title={say.addDevices} onClose={onClose}>
      <Field label={say.findKind} hint={say.chooseOneSeveralAgain}>
        <Input
          type="search"
          value={words}
          placeholder={say.mouseSwitchBreath}
          onChange={(event) => setWords(event.target.value)}
        />
      </Field>
      <ul className={styles.kinds}>
        {kinds
          .filter((one) => fits(one, words.trim()))
          .map((one) => {
            const count = countOf(one)
            const host = one.belongs.find((system) => systems.has(system))
            return (
              <li key={one.id} data-chosen={count > 0}>
                <button
                  type="button"
                  onClick={() => setChosen((all) => [...all, { kind: one, variant: one.variants[0]?.id }])}
                >
                  <DeviceDrawing drawing={one.drawing} height={44} />
                  <span>
                    <strong>
                      {one.name}
                      {count > 0 && `, ${String(count)}×`}
                    </strong>
                    <small>{host ? say.for(host) : say.forWhichComesWith(one.belongs[0] ?? '')}</small>
                  </span>
                </button>
                {count > 0 && (
                  <Button aria-label={say.oneLess(one.name)} onClick={() => less(one)}>
                    <span aria-hidden="true">−</span>
                  </Button>
                )}
              </li>
            )
          })}
      </ul>
      {chosen.map(({ kind, variant }, index) =>
        kind.variants.length > 0 ? (
          <Field key={index} label={say.which(kind.name, String(index + 1), String(chosen.length))}>
            <Select
              value={variant ?? ''}
              options={kind.variants.map((one) => ({ value: one.id, label: one.name }))}
              onChange={(next: string) =>
                setChosen((all) => all.map((one, at) => (at === index ? { ...one, variant: next } : one)))
              }
            />
          </Field>
        ) : null,
      )}
      <Button onClick={onCarry}>{say.carryOver}</Button>
      <OwnKinds client={desk.id} own={own} kept={kept} shipped={shipped.data ?? []} />
      <div className={styles.sheetFoot}>
        <Button type="primary" block loading={busy} disabled={chosen.length === 0} onClick={() => void add()}>
          {chosen.length === 0 ? say.chooseFirst : say.add(named(chosen))}
        </Button>
      </div>
    </SideSheet>
  )
}

/** One by its name, several by their number. */
const named = (wanted: readonly Wanted[]) =>
  wanted.length === 1 ? (wanted[0]?.kind.name ?? '') : say.devices(String(wanted.length))

const sent = ({ kind, variant }: Wanted) => ({ of: kind.id, ...(variant ? { variant } : {}) })
