import { useEffect, useState } from 'react'
import type { BenchView, Tile } from '../../shared/api'
import { useBench, useDown } from './benchContext'
import styles from './bench.module.css'
import { say } from './sentences'

type Waiting = BenchView['waiting'][number]

const WORDS: Record<Waiting['for'], string> = {
  release: say.letGoMayYet,
  press: say.touchedNotYetPress,
  long_press: say.downBecomesLong,
  tap_gap: say.letGoWaitingFor,
  repeat: say.heldNextRepeat,
}

const TICK_MS = 50

/** The moment from which a wait is counted, in the stream's microseconds. */
function sinceUs(waiting: Waiting, tile: Tile | undefined): number | undefined {
  const touch = tile?.touches.at(-1)
  return waiting.for === 'tap_gap' || waiting.for === 'release'
    ? (touch?.ended_us ?? undefined)
    : touch?.began_us
}

/** Counts to what is being waited for, while a press is pending. */
export function Pending() {
  const { waiting, tiles, buttons } = useBench('waiting', 'tiles', 'buttons')
  const down = useDown(buttons.map((button) => button.ref))
  const [now, setNow] = useState(() => performance.now())
  const active = waiting.length > 0

  useEffect(() => {
    if (!active) return
    const timer = window.setInterval(() => setNow(performance.now()), TICK_MS)
    return () => window.clearInterval(timer)
  }, [active])

  const downOnly = buttons.filter(
    (button) => down.includes(button.ref) && !waiting.some((one) => one.button === button.ref),
  )
  return (
    <div className={styles.pending} aria-hidden="true">
      {downOnly.map((button) => (
        <p key={button.ref}>
          <strong>{button.name}</strong> {say.down}
        </p>
      ))}
      {waiting.map((one) => {
        const tile = tiles.find((shown) => shown.tile.button === one.button)?.tile
        const since = sinceUs(one, tile) ?? one.due_us
        const whole = Math.max(1, Math.round((one.due_us - since) / 1000))
        const gone = Math.min(whole, Math.max(0, Math.round(now - since / 1000)))
        return (
          <p key={one.button}>
            <strong>{tile?.button_name}</strong> {say.ms(WORDS[one.for], String(gone), String(whole))}
            <progress max={whole} value={gone} />
          </p>
        )
      })}
    </div>
  )
}
