import type { DeviceHas } from '../../shared/api'
import { say } from './sentences'
import styles from './handover.module.css'

/** What devices can't carry, said before anything is put on them. */
export function Left({ devices, names }: { devices: DeviceHas[]; names: ReadonlyMap<string, string> }) {
  const some = devices.filter(({ left }) => left.length > 0)
  return (
    <section aria-label={say.cantCarry} className={styles.told}>
      <h3>{say.cantCarry}</h3>
      {some.length === 0 && <p>{say.carriesAll}</p>}
      {some.map(({ device, left }) => (
        <ul key={device} aria-label={names.get(device) ?? device}>
          {left.map(({ id, what }) => (
            <li key={id + what}>{what}</li>
          ))}
        </ul>
      ))}
    </section>
  )
}
