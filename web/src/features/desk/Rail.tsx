import { useState, type MouseEvent } from 'react'
import type { Desk, Device } from '../../shared/api'
import { DeviceDrawing } from '../../shared/ui'
import styles from './rail.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  /** Which are shown; none: all. */
  only: string[]
  onOnly: (devices: string[]) => void
}

function state(device: Device, has: Desk['has'][string] | undefined): string {
  if (device.off) return say.switchedOff
  if (has && has.revision !== null) return has.same ? say.onIt(String(has.revision)) : say.differs
  if (device.open_steps > 0) return say.stepsGo(device.open_steps)
  const count = device.buttons.length
  if (count === 0) return say.noButtonItsOwn
  return say.buttons(count)
}

/** The client's hosts with their devices; choosing one shows it alone, with Ctrl or its tick several. */
export function Rail({ desk, only, onOnly }: Props) {
  const devices = desk.hosts.flatMap((host) => host.devices)
  const all = only.length === 0
  const shown = devices.filter((one) => only.includes(one.id))
  // Where it is narrow it is one line until it is asked for.
  const [unfolded, setUnfolded] = useState(false)
  const without = (id: string) => (all ? devices.map((one) => one.id) : only).filter((other) => other !== id)
  const tick = (id: string) => {
    const next = !all && !only.includes(id) ? [...only, id] : without(id)
    onOnly(next.length === devices.length ? [] : next)
  }
  const choose = (id: string, event: MouseEvent) => {
    if (event.ctrlKey || event.shiftKey || event.metaKey) tick(id)
    else onOnly(only.length === 1 && only[0] === id ? [] : [id])
  }
  return (
    <nav
      className={styles.rail}
      data-pane
      data-folded={!unfolded}
      tabIndex={-1}
      aria-label={say.hostsDevices}
    >
      {devices.length > 0 && (
        <button
          type="button"
          className={styles.unfold}
          aria-expanded={unfolded}
          onClick={() => setUnfolded(!unfolded)}
        >
          {all && devices.length > 1
            ? say.devices(String(devices.length))
            : (all ? devices : shown).map((one) => one.name).join(', ')}{' '}
          <span aria-hidden="true">{unfolded ? '▴' : '▾'}</span>
        </button>
      )}
      {devices.length === 0 && <p>{say.noDeviceYet}</p>}
      {!all && (
        <button type="button" className={styles.allDevices} onClick={() => onOnly([])}>
          {say.showAllDevices}
        </button>
      )}
      {desk.hosts.map((host) => (
        <section key={host.id} aria-label={say.devicesWithName(host.name)}>
          <h2>{host.name}</h2>
          {host.devices.map((device) => {
            const on = all || only.includes(device.id)
            return (
              <div
                key={device.id}
                className={styles.device}
                data-shown={on}
                data-seated={device.seat !== null}
              >
                <button
                  type="button"
                  aria-pressed={on}
                  aria-keyshortcuts="Control+Enter"
                  onClick={(event) => choose(device.id, event)}
                >
                  <DeviceDrawing drawing={device.drawing} height={device.seat ? 32 : 42} />
                  <span>
                    <strong>{device.name}</strong>
                    <small>{state(device, desk.has[device.id])}</small>
                  </span>
                </button>
                {devices.length > 1 && (
                  <label>
                    <input
                      type="checkbox"
                      checked={on}
                      aria-label={say.showToo(device.name)}
                      // The last that is shown stays.
                      disabled={on && without(device.id).length === 0}
                      onChange={() => tick(device.id)}
                    />
                  </label>
                )}
              </div>
            )
          })}
        </section>
      ))}
    </nav>
  )
}
