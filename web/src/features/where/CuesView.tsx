import { Button, Checkbox } from 'antd'
import type { CueEvent, CueWay, Where } from '../../shared/api'
import { giveCue } from '../../shared/cues'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { useAnnounce } from '../../shared/ui'
import { QuietHours } from './QuietHours'
import { say } from './sentences'
import styles from './where.module.css'
import modesStyles from './modes.module.css'

/** What the client hears, sees or feels, and when; each can be tried at once. */
export function CuesView({ where }: { where: Where }) {
  const { events, ways, quiet } = where.cues
  const mayChange = useMayChange()
  const announce = useAnnounce()
  const { change, busy } = useChange()
  const set = (event: CueEvent, name: string, chosen: CueWay[]) =>
    void change({ kind: 'cues', cues: { [event]: chosen } }, say.cuesChanged(name))
  const tryIt = (event: CueEvent, name: string, chosen: CueWay[]) => {
    const given = giveCue(event, chosen, name, quiet)
    const words = ways.filter((way) => given.includes(way.id)).map((way) => way.name)
    announce(words.length > 0 ? say.cueGiven(words.join(', ')) : say.cueNotGiven)
  }
  return (
    <>
      <p className={styles.bar}>{say.cuesAbout}</p>
      <table className={styles.cues}>
        <thead>
          <tr>
            <th scope="col">{say.when}</th>
            {ways.map((way) => (
              <th scope="col" key={way.id}>
                {way.name}
                <small>
                  {way.givers.length > 0 ? say.givenBy(way.givers.join(', ')) : say.givenByNothing}
                </small>
              </th>
            ))}
            <td />
          </tr>
        </thead>
        <tbody>
          {events.map((event) => (
            <tr key={event.id}>
              <th scope="row">{event.name}</th>
              {ways.map((way) => (
                <td key={way.id}>
                  <Checkbox
                    aria-label={`${event.name}: ${way.name}`}
                    disabled={!mayChange || busy || way.givers.length === 0}
                    checked={event.ways.includes(way.id)}
                    onChange={({ target }) =>
                      set(
                        event.id,
                        event.name,
                        target.checked ? [...event.ways, way.id] : event.ways.filter((one) => one !== way.id),
                      )
                    }
                  >
                    <span className={modesStyles.way} aria-hidden="true">
                      {way.name}
                    </span>
                  </Checkbox>
                </td>
              ))}
              <td>
                <Button
                  aria-label={say.tryOf(event.name)}
                  disabled={event.ways.length === 0}
                  onClick={() => tryIt(event.id, event.name, event.ways)}
                >
                  {say.tryIt}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <QuietHours quiet={quiet} mayChange={mayChange} />
    </>
  )
}
