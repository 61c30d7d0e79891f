import type { Place, Where } from '../../shared/api'
import styles from './drawn.module.css'

/** The app of places that are parts of the screen itself. */
const SCREEN = 'screen'

/** Each host’s screen with the places that are on it; the list beneath says the same in words, and more. */
export function PlacesDrawn({ hosts, places }: Pick<Where, 'hosts' | 'places'>) {
  const edges = places.filter((place) => place.app === SCREEN)
  const screens = hosts
    .map((host) => ({ host, apps: host.apps.filter((app) => places.some((place) => place.app === app.id)) }))
    .filter(({ apps }) => apps.length + edges.length > 0)
  return (
    <div className={styles.screens} aria-hidden="true">
      {screens.map(({ host, apps }) => (
        <figure key={host.id} className={styles.host}>
          <div className={styles.screen} data-system={host.system}>
            {apps.map((app) => (
              <App key={app.id} name={app.name} places={places.filter((place) => place.app === app.id)} />
            ))}
            {edges.map((place) => (
              <span key={place.id} className={styles.part} data-off={place.off}>
                {place.name}
              </span>
            ))}
          </div>
          <figcaption>{host.name}</figcaption>
        </figure>
      ))}
    </div>
  )
}

/** A window: filled where all of it is a place; its parts within. */
function App({ name, places }: { name: string; places: Place[] }) {
  const whole = places.find((place) => place.part === null)
  return (
    <div className={styles.app} data-whole={whole !== undefined} data-off={whole?.off}>
      <span>{name}</span>
      {places
        .filter((place) => place.part !== null)
        .map((place) => (
          <span key={place.id} className={styles.part} data-off={place.off}>
            {place.name}
          </span>
        ))}
    </div>
  )
}
