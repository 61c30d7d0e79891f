import { useMayChange } from '../../shared/session'
import type { ShownTile } from './tiles'
import { KeepPress } from './lazy'
import styles from './bench.module.css'
import { say } from './sentences'

/** The whole story of one press, in sentences. */
export function Story({ client, shown }: { client: string; shown: ShownTile | undefined }) {
  const mayChange = useMayChange()
  if (!shown) {
    return (
      <div className={styles.story}>
        <div className={styles.storyHead}>
          <h3>{say.why}</h3>
        </div>
        <p>{say.everyPressTellsHere}</p>
      </div>
    )
  }
  const { tile } = shown
  const main = tile.results.find((result) => result.phase !== 'end')
  const effects = tile.results.map((result) => result.effect).filter((effect) => effect !== null)
  return (
    // Scrolls when the story is long: reachable by keyboard.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <section className={styles.story} aria-label={say.whyAlone} tabIndex={0}>
      <div className={styles.storyHead}>
        <h3>
          {main
            ? main.phase === 'ignored'
              ? say.whyIgnored
              : say.whyGesture(String(main.gesture_name))
            : say.notDecidedYet}
        </h3>
      </div>
      {effects.map((effect, index) => (
        <p key={index} className={styles.effect}>
          {effect}
        </p>
      ))}
      <p>{tile.sentences.join(' ')}</p>
      {mayChange && tile.over && <KeepPress key={tile.key} client={client} tile={tile} />}
    </section>
  )
}
