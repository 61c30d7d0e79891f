import { Button } from 'antd'
import { useEffect, useRef } from 'react'
import { Link } from 'react-router'
import type { Desk, DeviceHas, Handovers } from '../../shared/api'
import { canBePut, isMissing, stands, useHandovers } from '../../shared/handed'
import { Waiting } from '../../shared/plain'
import { useMayChange } from '../../shared/session'
import { Faults, StepFrame, useAnnounce } from '../../shared/ui'
import { useAsking, type What } from './queries'
import { HasRow } from './HasRow'
import { Gone } from './Gone'
import { Left } from './Left'
import { Record } from './Record'
import { WorksBy } from './WorksBy'
import { say } from './sentences'
import styles from './handover.module.css'

interface Props {
  desk: Desk
  /** Ids of the devices that are looked at. */
  shown: string[]
  onList: (device: string) => void
  onFiles: () => void
}

const namesOf = (desk: Desk): Map<string, string> =>
  new Map(desk.hosts.flatMap((host) => host.devices.map(({ id, name }) => [id, name] as const)))

/** What is on each device, what would be another there, and what is put on it. */
export function HandOverStep({ desk, shown, onList, onFiles }: Props) {
  const { data, error } = useHandovers(desk.id)
  const mayChange = useMayChange()
  const asking = useAsking(desk.id)
  const announce = useAnnounce()
  const names = namesOf(desk)
  useToldStates(data, names)
  const devices = data?.devices.filter(({ device }) => shown.includes(device)) ?? []
  const differing = devices.filter(canBePut)
  const ask = (what: What, of: readonly Pick<DeviceHas, 'device' | 'seen'>[]) => {
    const asked = of.map(({ device, seen }) => ({ device, seen }))
    announce(say.asked(asked.map(({ device }) => names.get(device) ?? device).join(', ')))
    void asking.run({ what, devices: asked })
  }
  const serious = desk.open.serious ?? 0
  return (
    <StepFrame
      title={say.title(String(desk.revision.number))}
      stands={data && say.stands(devices.filter(isMissing).length)}
    >
      {error && <p role="alert">{error.message}</p>}
      {!data && !error && <Waiting />}
      {data && names.size === 0 && <p>{say.noDevices}</p>}
      <div className={styles.head}>
        {serious > 0 && (
          <p>
            {say.findings(serious)} <Link to={`/clients/${desk.id}/check`}>{say.look}</Link>
          </p>
        )}
        {mayChange && differing.length > 1 && (
          <Button type="primary" disabled={asking.busy} onClick={() => ask('put', differing)}>
            {say.putAll}
          </Button>
        )}
      </div>
      <Faults refused={asking.refused} />
      {data && data.mixes.length > 0 && (
        <section aria-label={say.meanwhile} className={styles.told} data-bad="true">
          <h3>{say.meanwhile}</h3>
          <ul>
            {data.mixes.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </section>
      )}
      {devices.map((has) => (
        <HasRow
          key={has.device}
          has={has}
          name={names.get(has.device) ?? has.device}
          revision={desk.revision.number}
          onAsk={(what) => ask(what, [has])}
          onStop={() => void asking.run({ stop: has.device })}
          onQuestion={() => void asking.run({ question: has.device })}
          onByHand={(byHand) => void asking.run({ byHand, device: has.device })}
          onList={() => onList(has.device)}
          onReach={(reach) => void asking.run({ reach, device: has.device })}
        />
      ))}
      {devices.length > 0 && desk.works_by === 'desk' && <WorksBy desk={desk} />}
      {devices.length > 0 && <Left devices={devices} names={names} />}
      <nav aria-label={say.onPaper} className={styles.head}>
        <Link to={`/clients/${desk.id}/paper/card`}>{say.buttonCard}</Link>
        <Link to={`/clients/${desk.id}/paper/settings`}>{say.settingsSheet}</Link>
        <Button type="link" onClick={onFiles}>
          {say.files}
        </Button>
      </nav>
      {data && <Gone gone={data.gone} onEmpty={(one) => ask('empty', [one])} />}
      {data && <Record record={data.record} />}
    </StepFrame>
  )
}

/** What becomes of a device is said, wherever on the page one is. */
function useToldStates(data: Handovers | undefined, names: ReadonlyMap<string, string>): void {
  const announce = useAnnounce()
  const before = useRef<ReadonlyMap<string, string>>(new Map())
  useEffect(() => {
    if (!data) return
    for (const has of data.devices) {
      const was = before.current.get(has.device)
      if (was !== undefined && was !== has.state && has.state !== 'writing' && has.state !== 'waiting')
        announce(say.told(names.get(has.device) ?? has.device, stands(has)))
    }
    before.current = new Map(data.devices.map(({ device, state }) => [device, state]))
  }, [data, names, announce])
}
