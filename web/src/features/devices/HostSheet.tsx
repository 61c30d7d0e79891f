import { Button, Input, InputNumber, Select } from 'antd'
import { useState } from 'react'
import type { Desk, Host } from '../../shared/api'
import { useFormChange } from '../../shared/fitting'
import { Field, SideSheet, FormOf } from '../../shared/ui'
import { useServiceHosts } from '../kinds'
import { HostPutRight, type CorrectedHost } from './HostPutRight'
import { SYSTEMS } from './systems'
import { say } from './sentences'

/** Without what is as with others of its sort; nothing where all is. */
function plain({ lines, steps, keeps, by, at }: CorrectedHost): CorrectedHost | null {
  const said = {
    ...(lines ? { lines } : {}),
    ...(steps ? { steps } : {}),
    ...(keeps?.length ? { keeps } : {}),
  }
  return Object.keys(said).length === 0 ? null : { ...said, ...(by ? { by } : {}), ...(at ? { at } : {}) }
}

/** A host: new, or an old one changed. */
export function HostSheet(props: { desk: Desk; id: string | undefined; onClose: () => void }) {
  const { desk, id, onClose } = props
  const host = desk.hosts.find((one) => one.id === id)
  const { change, busy, refused } = useFormChange()
  const [given, setGiven] = useState({
    name: host?.name ?? '',
    system: host?.system ?? ('computer' as Host['system']),
    double_click_ms: host?.double_click_ms ?? null,
  })
  const [putRight, setPutRight] = useState<CorrectedHost>(host?.corrected ?? {})
  const corrected = plain(putRight)
  const says = useServiceHosts().data?.by_system.find((one) => one.system === given.system)?.says
  const onSubmit = async () => {
    const put = host ? { id: host.id, ...given, corrected } : given
    if (await change({ kind: 'host', host: put }, host ? say.isChanged(given.name) : say.isAdded(given.name)))
      onClose()
  }
  const remove = async () => {
    if (host && (await change({ kind: 'remove_host', id: host.id }, say.removed(host.name)))) onClose()
  }
  return (
    <SideSheet title={host ? host.name : say.addHost} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <Field label={say.what} at="system">
          <Select
            value={given.system}
            options={SYSTEMS}
            onChange={(system: Host['system']) => setGiven({ ...given, system })}
          />
        </Field>
        <Field label={say.name} at="name">
          <Input
            required
            maxLength={120}
            value={given.name}
            onChange={(event) => setGiven({ ...given, name: event.target.value })}
          />
        </Field>
        <Field label={say.doubleClickWithinMsAlone} hint={say.asSetThereNot} at="double_click_ms">
          <InputNumber
            min={50}
            max={3000}
            precision={0}
            value={given.double_click_ms}
            onChange={(double_click_ms) => setGiven({ ...given, double_click_ms })}
          />
        </Field>
        {says && host && (
          <p>
            {say.serviceSays}{' '}
            <Button onClick={() => setPutRight({ ...putRight, ...says })}>{say.takeWhatServiceSays}</Button>
          </p>
        )}
        {host && <HostPutRight usual={host.usual} value={putRight} onChange={setPutRight} />}
        <Button type="primary" htmlType="submit" loading={busy} disabled={!given.name.trim()}>
          {host ? say.save : say.addAlone}
        </Button>
        {host && (
          <Button danger disabled={host.devices.length > 0} onClick={() => void remove()}>
            {say.removeHost}
          </Button>
        )}
        {host && host.devices.length > 0 && <p>{say.hostGoesWhenNo}</p>}
      </FormOf>
    </SideSheet>
  )
}
