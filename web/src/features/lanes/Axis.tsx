import type { Stretch } from '../../shared/api'
import type { Scales } from './scale'
import styles from './lanes.module.css'

const TITLES: Record<Stretch, string> = { held: 'held for, ms', apart: 'then let go for, ms' }

/** The scale that all lanes share, in milliseconds. */
export function Axis({ scales }: { scales: Scales }) {
  return (
    <div className={styles.axis} aria-hidden="true">
      <span />
      {(['held', 'apart'] as const).map((stretch) => (
        <div key={stretch} className={stretch === 'held' ? styles.axisHeld : styles.axisApart}>
          <strong>{TITLES[stretch]}</strong>
          <div className={styles.ticks}>
            {scales[stretch].ticks.map((ms) => (
              <span key={ms} style={{ left: `${String(scales[stretch].percent(ms))}%` }}>
                {ms}
              </span>
            ))}
          </div>
        </div>
      ))}
    </div>
  )
}
