import { Link } from 'react-router'
import type { Desk } from '../../shared/api'
import { useCheck } from '../check'
import { stands, useHandovers } from '../../shared/handed'
import { Part } from './Part'
import { say } from './sentences'

const FEW = 5

/** What is on each device just now. */
export function OnTheDevices({ desk }: { desk: Desk }) {
  const { data } = useHandovers(desk.id)
  const names = new Map(
    desk.hosts.flatMap(({ devices }) => devices.map(({ id, name }) => [id, name] as const)),
  )
  return (
    <Part title={say.devices} none={say.noWants}>
      {data?.devices.map((has) => (
        <span key={has.device}>{say.device(names.get(has.device) ?? has.device, stands(has))}</span>
      ))}
      <p>
        <Link to={`/clients/${desk.id}/handover`}>{say.toHandOver}</Link>
      </p>
    </Part>
  )
}

/** What Check has found, and whether the presses have changed. */
export function OpenFindings({ desk }: { desk: Desk }) {
  const { data } = useCheck(desk.id)
  const open = data?.findings.filter(({ known, id }) => !known && id !== 'trials_old') ?? []
  const drift = data?.findings.filter(({ id }) => id === 'trials_old') ?? []
  return (
    <>
      <Part title={say.findings} none={say.noFindings}>
        {open.slice(0, FEW).map(({ what }) => (
          <span key={what}>{what}</span>
        ))}
        {open.length > FEW && <span>{say.more(open.length - FEW)}</span>}
        <p>
          <Link to={`/clients/${desk.id}/check`}>{say.toCheck}</Link>
        </p>
      </Part>
      <Part title={say.presses} none={say.pressesSame}>
        {drift.map(({ what }) => (
          <span key={what}>{what}</span>
        ))}
      </Part>
    </>
  )
}
