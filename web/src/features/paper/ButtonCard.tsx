import type { PaperData } from '../../shared/api'
import { DeviceDrawing, GestureMark } from '../../shared/ui'
import { say } from './sentences'
import styles from './paper.module.css'

type Device = PaperData['hosts'][number]['devices'][number]
type Row = Device['rows'][number]

const asksForHelp = ({ entries }: Row) => entries.some(({ help }) => help)

/** For the client and those who help: each button with its place on the device, help first. */
export function ButtonCard({ paper }: { paper: PaperData }) {
  const shown = paper.hosts.filter(({ devices }) => devices.some(({ rows, off }) => rows.length > 0 || off))
  if (shown.length === 0) return <p>{say.nothing}</p>
  return shown.map((host) => (
    <section key={host.id} className={styles.device} aria-label={host.name}>
      <h2>{host.name}</h2>
      <div className={styles.buttons}>
        {helpFirst(host.devices).map(({ device, row }) => (
          <ButtonOf key={row.ref} device={device} row={row} />
        ))}
      </div>
      {host.devices
        .filter(({ off }) => off)
        .map(({ id, name }) => (
          <p key={id}>{say.isOff(name)}</p>
        ))}
    </section>
  ))
}

/** Whatever asks for help stands where the eye falls first. */
function helpFirst(devices: Device[]) {
  const all = devices.flatMap((device) => device.rows.map((row) => ({ device, row })))
  return [...all.filter(({ row }) => asksForHelp(row)), ...all.filter(({ row }) => !asksForHelp(row))]
}

function ButtonOf({ device, row }: { device: Device; row: Row }) {
  return (
    <article className={styles.button} aria-label={row.full_name}>
      <DeviceDrawing drawing={device.drawing} height={72} chosen={row.id} />
      <div>
        <h3>
          <bdi>{row.full_name}</bdi>
        </h3>
        <ul>
          {row.entries.map((one) => (
            <li key={`${one.gesture} ${one.where ?? ''}`}>
              <span className={styles.gesture}>
                <GestureMark gesture={one.gesture} /> {one.name}
              </span>{' '}
              <strong>
                <bdi>{one.action}</bdi>
              </strong>{' '}
              {one.help && <b className={styles.help}>{say.help}</b>}
              {one.where && <small>{one.where}</small>}
            </li>
          ))}
        </ul>
      </div>
    </article>
  )
}
