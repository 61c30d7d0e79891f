import { useQuery } from '@tanstack/react-query'
import { Button, Checkbox, Radio, Select } from 'antd'
import { useState } from 'react'
import { api, must, type Desk } from '../../shared/api'
import { useFormChange, useDevices } from '../../shared/fitting'
import { Field, SideSheet } from '../../shared/ui'
import styles from './devices.module.css'

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
    queryKey: ['matches', desk.id, id, target?.id, mirror],
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
    if (await change(made, `${target.name} has what ${from.name} has.`)) onClose()
  }
  const cut = async () => {
    if (await change({ kind: 'cut', device: id }, `${from.name} goes its own way.`)) onClose()
  }
  const missing = [...(matches.data?.without.buttons ?? []), ...(matches.data?.without.assignments ?? [])]
  return (
    <SideSheet title={`Copy or mirror ${from.name}`} onClose={onClose}>
      {follows ? (
        <>
          <p>
            {from.name} follows {devices.find((device) => device.id === follows.from)?.name}: what is changed
            there is changed here too{follows.mirror ? ', mirrored' : ''}.
          </p>
          <Button type="primary" loading={busy} onClick={() => void cut()}>
            Cut the link
          </Button>
        </>
      ) : (
        <>
          {others.length === 0 && <p>There is no other device to copy to.</p>}
          {target && (
            <>
              <Field label="To">
                <Select
                  value={target.id}
                  onChange={setTo}
                  options={others.map((device) => ({ value: device.id, label: device.name }))}
                />
              </Field>
              <Checkbox checked={mirror} onChange={(event) => setMirror(event.target.checked)}>
                Mirrored: left becomes right
              </Checkbox>
              <Radio.Group
                className={styles.stack}
                value={lasting}
                onChange={(event) => setLasting(event.target.value as boolean)}
                options={[
                  { value: false, label: 'Once' },
                  { value: true, label: 'From now on, until the link is cut' },
                ]}
              />
              <h3>What stands for what</h3>
              {matches.error && <p role="alert">{matches.error.message}</p>}
              <ul className={styles.pairs}>
                {(matches.data?.pairs ?? []).map(([one = '', other = '']) => (
                  <li key={one + other}>
                    {one} → {other}
                  </li>
                ))}
              </ul>
              {matches.data?.pairs.length === 0 && <p>No button has a match.</p>}
              {missing.length > 0 && (
                <p>
                  <strong>Without a match:</strong> {missing.join(', ')}
                </p>
              )}
              <Button
                type="primary"
                loading={busy}
                disabled={!matches.data || matches.data.pairs.length === 0}
                onClick={() => void copy()}
              >
                {lasting ? `Let ${target.name} follow` : `Copy to ${target.name}`}
              </Button>
            </>
          )}
        </>
      )}
    </SideSheet>
  )
}
