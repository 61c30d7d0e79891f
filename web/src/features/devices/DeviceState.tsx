import type { DeviceFacts } from '../../shared/api'
import styles from './row.module.css'
import { say } from './sentences'

/** What it is ready for, in a line: why it can’t be used yet, that its cell is low, which of its places are taken. */
export function DeviceState({ device, all }: { device: DeviceFacts; all: DeviceFacts[] }) {
  const { off, unsure, stops, battery, seats } = device
  const seated = seats.map((seat) => {
    const sits = all.find((other) => other.id === seat.device)
    return sits ? say.holds(seat.place, sits.name) : say.empty(seat.place)
  })
  const strong = [
    off ? say.switchedOffKeptBut : undefined,
    unsure ? say.unsure(unsure) : undefined,
    stops.length > 0 ? say.notReadyYet(stops.join('. ')) : undefined,
    battery?.is === 'low' ? say.cellIsLow : undefined,
  ].filter((one) => one !== undefined)
  return (
    <div className={styles.state}>
      {strong.length > 0 ? strong.map((one) => <p key={one}>{one}</p>) : <p data-ready>{say.ready}</p>}
      {seated.length > 0 && <p data-ready>{seated.join(' · ')}</p>}
    </div>
  )
}
