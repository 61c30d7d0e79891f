import { Link } from 'react-router'
import type { Desk } from '../../shared/api'
import type { Lead, StepDefinition } from '../../shared/desk'
import { useMayChange } from '../../shared/session'
import styles from './desk.module.css'
import { say } from './sentences'

const devicesOf = (desk: Desk) => desk.hosts.flatMap((host) => host.devices)

/** What comes next in the work, seen from a step; without devices there is nothing to press. */
function nextOf(desk: Desk, step: StepDefinition): Lead | undefined {
  const to = `/clients/${desk.id}/devices`
  return (
    step.next(desk) ??
    (devicesOf(desk).length === 0 && step.id !== 'devices'
      ? { words: say.firstDevices, to: `${to}?sheet=new-device` }
      : undefined)
  )
}

/** Devices that are soon without power, whichever step one is at. */
function charge(desk: Desk): Lead | undefined {
  const low = devicesOf(desk)
    .filter((device) => device.battery === 'low' && !device.off)
    .map((device) => device.name)
  return low.length > 0 ? { words: say.charge(low.join(', ')), to: `/clients/${desk.id}/devices` } : undefined
}

/** Leads on from here. */
export function NextThing({ desk, step }: { desk: Desk; step: StepDefinition }) {
  const things = [charge(desk), nextOf(desk, step)].filter((one) => one !== undefined)
  if (!useMayChange()) return null
  return things.map((next) => (
    <p key={next.words} className={styles.next}>
      <Link to={next.to}>
        {next.words} <span aria-hidden="true">›</span>
      </Link>
    </p>
  ))
}
