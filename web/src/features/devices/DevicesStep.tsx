import { Button, Radio } from 'antd'
import type { Button as ButtonData, Desk, DeviceFacts, Host } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'
import { useDevices } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Nothing } from '../../shared/ui'
import { FindView } from '../find'
import { AppsPart } from './AppsPart'
import { DeviceRow } from './DeviceRow'
import { NextStep } from './NextStep'
import { TakenOut } from './TakenOut'
import styles from './devices.module.css'
import stepsStyles from './steps.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  shown: string[]
  onSheet: (sheet: SheetAddress) => void
  onAssign: (button: ButtonData) => void
  view: 'together' | 'find'
  onView: (view: 'together' | 'find') => void
}

/** The client's hosts and devices: put together, got ready, their buttons found. */
export function DevicesStep({ desk, shown, onSheet, onAssign, view, onView }: Props) {
  const answer = useDevices(desk.id)
  const mayChange = useMayChange()
  const devices = (answer.data?.devices ?? []).filter((device) => shown.includes(device.id))
  return (
    <section aria-labelledby="devices-title" className={stepsStyles.step}>
      <div className={styles.head}>
        <h2 id="devices-title">{view === 'find' ? say.findButton : say.hostsDevices}</h2>
        {mayChange && (
          <Radio.Group
            aria-label={say.show}
            optionType="button"
            buttonStyle="solid"
            value={view}
            onChange={(event) => onView(event.target.value as 'together' | 'find')}
            options={[
              { value: 'together', label: say.putTogether },
              { value: 'find', label: say.findButton },
            ]}
          />
        )}
        {mayChange && view === 'together' && (
          <>
            <Button type="primary" onClick={() => onSheet({ of: 'new-device' })}>
              {say.addDevices}
            </Button>
            <Button onClick={() => onSheet({ of: 'new-host' })}>{say.addHost}</Button>
          </>
        )}
      </div>
      {answer.error && <p role="alert">{answer.error.message}</p>}
      {view === 'find' && answer.data && (
        <FindView
          desk={desk}
          devices={answer.data.devices}
          onAssign={onAssign}
          onCorrect={(button) => onSheet({ of: 'correct', id: button.ref })}
        />
      )}
      {view === 'together' && answer.data && (
        <>
          <NextStep devices={devices} />
          {desk.hosts
            .filter((host) => host.id !== '')
            .map((host) => (
              <HostPart
                key={host.id}
                desk={desk}
                host={host}
                devices={devices.filter((device) => device.host === host.id)}
                all={answer.data.devices}
                alone={devices.length === 1}
                onSheet={onSheet}
                onAssign={onAssign}
              />
            ))}
          {desk.hosts.every((host) => host.id === '') && <Nothing>{say.beginWithDevicesThey}</Nothing>}
          <AppsPart apps={desk.apps} onSheet={onSheet} />
          <TakenOut items={answer.data.taken_out} />
        </>
      )}
    </section>
  )
}

function HostPart(props: {
  desk: Desk
  host: Host
  devices: DeviceFacts[]
  all: DeviceFacts[]
  alone: boolean
  onSheet: Props['onSheet']
  onAssign: Props['onAssign']
}) {
  const { desk, host, devices, all, alone, onSheet, onAssign } = props
  const mayChange = useMayChange()
  return (
    <section aria-label={host.name} className={styles.host}>
      <div className={styles.hostHead}>
        <h3>{host.name}</h3>
        <p>
          {host.double_click_ms === null
            ? say.aSystem[host.system]
            : say.doubleClickWithinMs(say.aSystem[host.system], host.double_click_ms)}
        </p>
        {mayChange && (
          <Button
            aria-label={say.changeWithName(host.name)}
            onClick={() => onSheet({ of: 'host', id: host.id })}
          >
            {say.change}
          </Button>
        )}
        <Button
          aria-label={say.settingsWithName(host.name)}
          onClick={() => onSheet({ of: 'settings', about: 'host', id: host.id })}
        >
          {say.settings}
        </Button>
      </div>
      {host.devices.length === 0 && <p className={styles.quiet}>{say.noDeviceYet}</p>}
      {devices.map((device) => (
        <DeviceRow
          // Shown alone it is unfolded, whatever it was before.
          key={`${device.id} ${String(alone)}`}
          desk={desk}
          device={device}
          all={all}
          open={alone}
          onSheet={onSheet}
          onAssign={onAssign}
        />
      ))}
    </section>
  )
}
