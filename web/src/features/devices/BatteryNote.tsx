import { OF_PEOPLE } from '../../shared/text'
import { Select } from 'antd'
import type { DeviceFacts } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import styles from './devices.module.css'
import { say } from './sentences'

type Battery = NonNullable<DeviceFacts['battery']>['is']

const NOT_NOTED = ''
const LEVELS: Battery[] = ['full', 'half', 'low']

/** How full its battery is, or its cell, as somebody noted it; one that is low stands out. */
export function BatteryNote({ device }: { device: DeviceFacts }) {
  const mayChange = useMayChange()
  const { change } = useChange()
  const { battery } = device
  const words = battery && say.noted(battery.by ?? say.somebody, battery.at ? dateOf(battery.at) : '')
  if (!mayChange) return battery ? <p>{[say.battery, say.levels[battery.is], words].join(' · ')}</p> : null
  const note = (level: Battery | typeof NOT_NOTED) => {
    const set = { battery: level || null }
    void change(
      { kind: 'device', device: device.id, set },
      say.isNoted(device.name, level ? say.levels[level] : say.notNoted),
    )
  }
  return (
    <p className={battery?.is === 'low' ? styles.strong : undefined}>
      {say.battery}{' '}
      <Select
        aria-label={say.batteryOf(device.name)}
        value={battery?.is ?? NOT_NOTED}
        popupMatchSelectWidth={false}
        options={[
          { value: NOT_NOTED, label: say.notNoted },
          ...LEVELS.map((value) => ({ value, label: say.levels[value] })),
        ]}
        onChange={note}
      />{' '}
      {words}
    </p>
  )
}

const WHEN = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium' })
const dateOf = (at: string) => WHEN.format(new Date(at))
