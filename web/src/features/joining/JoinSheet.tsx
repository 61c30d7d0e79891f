import { OF_PEOPLE } from '../../shared/text'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, QRCode, Select } from 'antd'
import { useCallback, useState } from 'react'
import { askAnew, keys, api, must, type Desk, type Join } from '../../shared/api'
import { THEMES } from '../../shared/theme'
import { Faults, Field, SideSheet, useTask } from '../../shared/ui'
import { WayIn } from './WayIn'
import styles from './joining.module.css'
import { say } from './sentences'

const TIME = new Intl.DateTimeFormat(OF_PEOPLE, { hour: '2-digit', minute: '2-digit' })

/** The client's own phone, tablet or computer as a listener: a code, an address, a picture to scan. */
export function JoinSheet({ desk, onClose }: { desk: Desk; onClose: () => void }) {
  const queries = useQueryClient()
  const hosts = desk.hosts.filter((host) => host.id !== '')
  const [host, setHost] = useState(hosts[0]?.id ?? '')
  const joins = useQuery({
    queryKey: keys.joins(desk.id),
    queryFn: () => must(api.GET('/api/clients/{client}/joins', { params: { path: { client: desk.id } } })),
  })
  const refresh = useCallback(() => askAnew(queries, { queryKey: keys.joins(desk.id) }), [queries, desk.id])
  const make = useTask(
    useCallback(async () => {
      await must(
        api.POST('/api/clients/{client}/joins', { params: { path: { client: desk.id } }, body: { host } }),
      )
      await refresh()
    }, [desk.id, host, refresh]),
  )
  const end = useTask(
    useCallback(
      async (id: string) => {
        await must(api.DELETE('/api/joins/{join}', { params: { path: { join: id } } }))
        await refresh()
      },
      [refresh],
    ),
  )
  const [waiting] = joins.data?.joins.filter((join) => join.code !== null) ?? []
  const joined = joins.data?.joins.filter((join) => join.code === null) ?? []
  const address = joins.data?.addresses[0] ?? `${window.location.origin}/join`
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
        <Waiting join={waiting} address={address} onEnd={() => void end.run(waiting.id)} />
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
              <Button type="primary" loading={make.busy} onClick={() => void make.run()}>
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

function Waiting({ join, address, onEnd }: { join: Join; address: string; onEnd: () => void }) {
  const link = `${address}?code=${join.code ?? ''}`
  return (
    <section className={styles.waiting} aria-label={say.codeJoin}>
      <p>{say.open(join.host_name)}</p>
      <p className={styles.address}>{address.replace(/^https?:\/\//, '')}</p>
      <p>{say.type}</p>
      <p className={styles.code} aria-label={say.code([...(join.code ?? '')].join(' '))}>
        {join.code}
      </p>
      <p>{say.scan}</p>
      <div aria-hidden="true">
        <QRCode
          value={link}
          type="canvas"
          size={200}
          color={THEMES.light.ink}
          bgColor={THEMES.light.white}
          bordered={false}
        />
      </div>
      <p>{say.lapsesLeadsOneDevice(TIME.format(new Date(join.expires_at)), join.host_name)}</p>
      <Button onClick={onEnd}>{say.takeCodeBack}</Button>
    </section>
  )
}
