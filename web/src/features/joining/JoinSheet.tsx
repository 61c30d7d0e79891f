import { Button, Select } from 'antd'
import { useState } from 'react'
import type { Desk } from '../../shared/api'
import { Faults, Field, SideSheet } from '../../shared/ui'
import { CodeShown } from './CodeShown'
import { useJoins } from './useJoins'
import { WayIn } from './WayIn'
import styles from './joining.module.css'
import { say } from './sentences'

/** The client's own phone, tablet or computer as a listener: a code, an address, a picture to scan. */
export function JoinSheet({ desk, onClose }: { desk: Desk; onClose: () => void }) {
  const hosts = desk.hosts.filter((host) => host.id !== '')
  const [host, setHost] = useState(hosts[0]?.id ?? '')
  const { joins, address, make, end, refresh } = useJoins(desk.id)
  // Who goes through a list by hand hears nothing.
  const listeners = joins.filter(({ lists }) => lists === null)
  const waiting = listeners.find(({ code }) => code !== null)
  const joined = listeners.filter(({ code }) => code === null)
  return (
    <SideSheet title={say.deviceClientsListens} onClose={onClose}>
      <p>{say.openedSOwnPhone(desk.name)}</p>
      {joined.map((join) => (
        <p key={join.id} className={styles.joined}>
          <span>
            <strong>{join.name}</strong> {say.listensFor(join.host_name)}
          </span>
          <Button onClick={() => void end.run(join.id)} aria-label={say.endWithName(join.name ?? '')}>
            {say.end}
          </Button>
        </p>
      ))}
      {waiting ? (
        <CodeShown join={waiting} address={address} onEnd={() => void end.run(waiting.id)} />
      ) : (
        <>
          {hosts.length === 0 && <p>{say.addHostFirstMachine}</p>}
          {hosts.length > 0 && (
            <>
              <Field label={say.whichHost}>
                <Select
                  value={host}
                  onChange={setHost}
                  options={hosts.map((one) => ({ value: one.id, label: one.name }))}
                />
              </Field>
              <Button type="primary" loading={make.busy} onClick={() => void make.run(host)}>
                {say.makeCode}
              </Button>
            </>
          )}
        </>
      )}
      <Faults refused={make.refused ?? end.refused} />
      <WayIn onOther={refresh} />
    </SideSheet>
  )
}
