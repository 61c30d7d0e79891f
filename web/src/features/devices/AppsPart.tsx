import { Button } from 'antd'
import type { App } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import type { DevicesSheetOf } from './DevicesStep'
import { SYSTEMS } from './systems'
import styles from './devices.module.css'

/** The client's apps: what can be opened, and told to do something by a command of its own. */
export function AppsPart({ apps, onSheet }: { apps: App[]; onSheet: (sheet: DevicesSheetOf) => void }) {
  const mayChange = useMayChange()
  return (
    <section aria-labelledby="apps" className={`${styles.out} ${styles.apps}`}>
      <div className={styles.hostHead}>
        <h3 id="apps">Apps</h3>
        <p>what buttons can open, and work by commands of their own</p>
        {mayChange && <Button onClick={() => onSheet({ of: 'app', id: undefined })}>Add an app</Button>}
      </div>
      {apps.length === 0 && <p className={styles.quiet}>None yet.</p>}
      <ul>
        {apps.map((app) => (
          <li key={app.id}>
            <span>
              {app.name}
              <small className={styles.quiet}> {about(app)}</small>
            </span>
            {mayChange && (
              <Button aria-label={`Change ${app.name}`} onClick={() => onSheet({ of: 'app', id: app.id })}>
                Change
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}

function about({ hosts, commands, written }: App): string {
  const count = commands.length
  const of = count === 0 ? 'no command' : count === 1 ? '1 command' : `${String(count)} commands`
  const where = SYSTEMS.filter((one) => hosts.includes(one.value)).map((one) => one.label.toLowerCase())
  return `${of} · ${where.join(', ')}${written ? '' : ' · only spoken of so far'}`
}
