import type { Desk, Device } from '../../shared/api'
import { DeviceDrawing } from './DeviceDrawing'
import styles from './desk.module.css'

interface Props {
  desk: Desk
  shown: string[]
  onShown: (devices: string[]) => void
}

function state(device: Device): string {
  if (device.off) return 'switched off'
  const count = device.buttons.length
  return count === 1 ? '1 button' : `${String(count)} buttons`
}

/** The client's hosts with their devices; choosing devices chooses what the middle shows. */
export function Rail({ desk, shown, onShown }: Props) {
  const toggle = (id: string) =>
    onShown(shown.includes(id) ? shown.filter((other) => other !== id) : [...shown, id])
  return (
    <nav className={styles.rail} data-pane tabIndex={-1} aria-label="Hosts and devices">
      {desk.hosts.length === 0 && <p>No device yet.</p>}
      {desk.hosts.map((host) => (
        <section key={host.id} aria-label={host.name}>
          <h2>{host.name}</h2>
          {host.devices.length === 0 && <p>No device on it yet.</p>}
          {host.devices.map((device) => {
            const on = shown.includes(device.id)
            return (
              <button
                key={device.id}
                type="button"
                className={styles.device}
                aria-pressed={on}
                onClick={() => toggle(device.id)}
              >
                <DeviceDrawing looks={device.looks} />
                <span>
                  <strong>{device.name}</strong>
                  <small>{state(device)}</small>
                  <small>{on ? 'shown' : 'not shown'}</small>
                </span>
              </button>
            )
          })}
        </section>
      ))}
    </nav>
  )
}
