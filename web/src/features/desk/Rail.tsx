import type { Desk, Device } from '../../shared/api'
import { DeviceDrawing } from '../../shared/ui'
import styles from './desk.module.css'

interface Props {
  desk: Desk
  hidden: string[]
  onHidden: (devices: string[]) => void
}

function state(device: Device): string {
  if (device.off) return 'switched off'
  if (device.open_steps > 0)
    return device.open_steps === 1 ? 'one step to go' : `${String(device.open_steps)} steps to go`
  const count = device.buttons.length
  if (count === 0) return 'no button of its own'
  return count === 1 ? '1 button' : `${String(count)} buttons`
}

/** The client's hosts with their devices; choosing devices chooses what the middle shows. */
export function Rail({ desk, hidden, onHidden }: Props) {
  const toggle = (id: string) =>
    onHidden(hidden.includes(id) ? hidden.filter((other) => other !== id) : [...hidden, id])
  return (
    <nav className={styles.rail} data-pane tabIndex={-1} aria-label="Hosts and devices">
      {desk.hosts.every((host) => host.devices.length === 0) && <p>No device yet.</p>}
      {desk.hosts.map((host) => (
        <section key={host.id} aria-label={`Devices at ${host.name}`}>
          <h2>{host.name}</h2>
          {host.devices.map((device) => {
            const on = !hidden.includes(device.id)
            return (
              <button
                key={device.id}
                type="button"
                className={styles.device}
                aria-pressed={on}
                data-seated={device.seat !== null}
                onClick={() => toggle(device.id)}
              >
                <DeviceDrawing drawing={device.drawing} height={device.seat ? 32 : 42} />
                <span>
                  <strong>{device.name}</strong>
                  <small>{state(device)}</small>
                  {!on && <small>not shown</small>}
                </span>
              </button>
            )
          })}
        </section>
      ))}
    </nav>
  )
}
