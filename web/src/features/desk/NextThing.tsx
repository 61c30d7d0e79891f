import { Link } from 'react-router'
import type { Desk } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import type { Step } from './steps'
import styles from './desk.module.css'
import { say } from './sentences'

/** What comes next in the work, seen from a step. */
function nextThing(desk: Desk, step: Step): { words: string; to: string } | undefined {
  const devices = desk.hosts.flatMap((host) => host.devices)
  const to = (path: string) => `/clients/${desk.id}/${path}`
  if (devices.length === 0 && step !== 'wants')
    return step === 'devices'
      ? undefined
      : { words: say.addDevicesTheyCan, to: to('devices?sheet=new-device') }
  if (step === 'wants')
    return devices.length === 0
      ? { words: say.nextDevicesTheyCan, to: to('devices?sheet=new-device') }
      : { words: say.nextWhatEachButton, to: to('assign') }
  if (step === 'devices') return { words: say.nextWhatEachButton, to: to('assign') }
  return undefined
}

/** Devices that are soon without power, whichever step one is at. */
function charge(desk: Desk): { words: string; to: string } | undefined {
  const low = desk.hosts
    .flatMap((host) => host.devices)
    .filter((device) => device.battery === 'low' && !device.off)
    .map((device) => device.name)
  return low.length > 0 ? { words: say.charge(low.join(', ')), to: `/clients/${desk.id}/devices` } : undefined
}

/** Leads on from here. */
export function NextThing({ desk, step }: { desk: Desk; step: Step }) {
  const things = [charge(desk), nextThing(desk, step)].filter((one) => one !== undefined)
  if (!useMayChange()) return null
  return things.map((next) => (
    <p key={next.words} className={styles.next}>
      <Link to={next.to}>
        {next.words} <span aria-hidden="true">›</span>
      </Link>
    </p>
  ))
}
