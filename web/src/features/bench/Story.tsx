import type { ShownTile } from './tiles'
import styles from './bench.module.css'

/** The whole story of one press, in sentences. */
export function Story({ shown }: { shown: ShownTile | undefined }) {
  if (!shown) {
    return (
      <div className={styles.story}>
        <div className={styles.storyHead}>
          <h3>Why?</h3>
        </div>
        <p>Every press tells here what was heard, what it became, and why.</p>
      </div>
    )
  }
  const { tile } = shown
  const main = tile.results.find((result) => result.phase !== 'end')
  const effects = tile.results.map((result) => result.effect).filter((effect) => effect !== null)
  return (
    // Scrolls when the story is long: reachable by keyboard.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <section className={styles.story} aria-label="Why" tabIndex={0}>
      <div className={styles.storyHead}>
        <h3>
          {main
            ? `Why ${main.phase === 'ignored' ? 'ignored' : `a ${main.gesture_name}`}?`
            : 'Not decided yet'}
        </h3>
      </div>
      {effects.map((effect, index) => (
        <p key={index} className={styles.effect}>
          {effect}
        </p>
      ))}
      <p>{tile.sentences.join(' ')}</p>
    </section>
  )
}
