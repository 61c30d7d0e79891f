import { useQuery } from '@tanstack/react-query'
import { Button, Checkbox, Radio, Select } from 'antd'
import { useState } from 'react'
import { keys, api, must, type Desk } from '../../shared/api'
import { useFormChange, useDevices, useRevision } from '../../shared/fitting'
import { Field, SideSheet } from '../../shared/ui'
import styles from './devices.module.css'
import { say } from './sentences'

/** One device's assignments on another's matching buttons: once, or from now on. */
export function CopySheet({ desk, id, onClose }: { desk: Desk; id: string; onClose: () => void }) {
  const facts = useDevices(desk.id)
  const devices = facts.data?.devices ?? []
  const from = devices.find((device) => device.id === id)
  // Most often it is another of the same kind.
  const others = devices
    .filter((device) => device.id !== id)
    .sort((one, other) => Number(other.kind === from?.kind) - Number(one.kind === from?.kind))
  const [to, setTo] = useState<string>()
  const [mirror, setMirror] = useState(false)
  const [lasting, setLasting] = useState(false)
  const { change, busy } = useFormChange()
  const target = others.find((device) => device.id === (to ?? others[0]?.id))
  const follows = facts.data?.links.find((link) => link.to === id)
  const matches = useQuery({
    queryKey: keys.matches(desk.id, useRevision(), id, target?.id, mirror),
    enabled: target !== undefined,
    queryFn: () =>
      must(
        api.GET('/api/clients/{client}/matches', {
          params: { path: { client: desk.id }, query: { from: id, to: target?.id ?? '', mirror } },
        }),
      ),
  })
  if (!from) return null
  const copy = async () => {
    if (!target) return
    const made = { kind: 'copy' as const, from: id, to: target.id, mirror, lasting }
    if (await change(made, say.hasWhatHas(target.name, from.name))) onClose()
  }
  const cut = async () => {
    if (await change({ kind: 'cut', device: id }, say.goesItsOwnWay(from.name))) onClose()
  }
  const missing = [...(matches.data?.without.buttons ?? []), ...(matches.data?.without.assignments ?? [])]
  return (
    <SideSheet title={say.copyMirror(from.name)} onClose={onClose}>
      {follows ? (
        <>
          <p>
            {(follows.mirror ? say.followsMirrored : say.followsWhole)(
              from.name,
              devices.find((device) => device.id === follows.from)?.name ?? '',
            )}
          </p>
          <Button type="primary" loading={busy} onClick={() => void cut()}>
            {say.cutLink}
          </Button>
        </>
      ) : (
        <>
          {others.length === 0 && <p>{say.thereNoOtherDevice}</p>}
          {target && (
            <>
              <Field label={say.to}>
                <Select
                  value={target.id}
                  onChange={setTo}
                  options={others.map((device) => ({ value: device.id, label: device.name }))}
                />
              </Field>
              <Checkbox checked={mirror} onChange={(event) => setMirror(event.target.checked)}>
                {say.mirroredLeftBecomesRight}
              </Checkbox>
              <Radio.Group
                className={styles.stack}
                value={lasting}
                onChange={(event) => setLasting(event.target.value as boolean)}
                options={[
                  { value: false, label: say.once },
                  { value: true, label: say.fromNowUntilLink },
                ]}
              />
              <h3>{say.whatStandsForWhat}</h3>
              {matches.error && <p role="alert">{matches.error.message}</p>}
              <ul className={styles.pairs}>
                {(matches.data?.pairs ?? []).map(([one = '', other = '']) => (
                  <li key={one + other}>
                    {one} → {other}
                  </li>
                ))}
              </ul>
              {matches.data?.pairs.length === 0 && <p>{say.noButtonHasMatch}</p>}
              {missing.length > 0 && (
                <p>
                  <strong>{say.withoutMatch}</strong> {missing.join(', ')}
                </p>
              )}
              <Button
                type="primary"
                loading={busy}
                disabled={!matches.data || matches.data.pairs.length === 0}
                onClick={() => void copy()}
              >
                {lasting ? say.letFollow(target.name) : say.copy(target.name)}
              </Button>
            </>
          )}
        </>
      )}
    </SideSheet>
  )
}
