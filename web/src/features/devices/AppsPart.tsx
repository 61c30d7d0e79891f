import { Button } from 'antd'
import type { App } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'
import { useMayChange } from '../../shared/session'
import { SYSTEMS } from './systems'
import styles from './devices.module.css'
import { say } from './sentences'

/** The client's apps: what can be opened, and told to do something by a command of its own. */
export function AppsPart({ apps, onSheet }: { apps: App[]; onSheet: (sheet: SheetAddress) => void }) {
  const mayChange = useMayChange()
  return (
    <section aria-labelledby="apps" className={`${styles.out} ${styles.apps}`}>
      <div className={styles.hostHead}>
        <h3 id="apps">{say.apps}</h3>
        <p>{say.whatButtonsCanOpen}</p>
        {mayChange && <Button onClick={() => onSheet({ of: 'new-app' })}>{say.addApp}</Button>}
      </div>
      {apps.length === 0 && <p className={styles.quiet}>{say.noneYet}</p>}
      <ul>
        {apps.map((app) => (
          <li key={app.id}>
            <span>
              {app.name}
              <small className={styles.quiet}> {about(app)}</small>
            </span>
            {mayChange && (
              <Button
                aria-label={say.changeWithName(app.name)}
                onClick={() => onSheet({ of: 'app', id: app.id })}
              >
                {say.change}
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
  const of = count === 0 ? say.noCommand : say.commands(count)
  const where = SYSTEMS.filter((one) => hosts.includes(one.value)).map((one) => say.among[one.value])
  const what = `${of} · ${where.join(', ')}`
  return written ? what : say.spokenOf(what)
}
