import type { LaneGesture, Tile } from '../../shared/api'
import { GestureMark } from '../../shared/ui'
import { tileWords, type ShownTile } from './tiles'
import styles from './tile.module.css'
import { say } from './sentences'

const WIDTH = 180
const LEAST_US = 1_500_000

/** The raw contact to scale: bars where it was closed, a dashed line where it becomes long. */
function Picture({ tile }: { tile: Tile }) {
  const end = Math.max(
    ...tile.touches.map((touch) => touch.ended_us ?? touch.began_us),
    ...tile.results.map((row) => row.at_us),
  )
  const whole = Math.max(LEAST_US, (end - tile.began_us) * 1.04)
  const x = (us: number) => ((us - tile.began_us) / whole) * WIDTH
  return (
    <svg
      className={styles.picture}
      width={WIDTH}
      height="30"
      viewBox={`0 0 ${String(WIDTH)} 30`}
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <path d={`M0 26H${String(WIDTH)}`} className={styles.ground} />
      {tile.touches.map((touch) => (
        <rect
          key={touch.began_us}
          className={
            touch.verdict === 'press' || touch.verdict === 'pending' ? styles.closed : styles.closedIgnored
          }
          x={x(touch.began_us)}
          y="8"
          height="18"
          width={Math.max(2, x(touch.ended_us ?? end) - x(touch.began_us))}
        />
      ))}
      {tile.touches.flatMap((touch) =>
        touch.gaps.map(([from = 0, to = 0]) => (
          <rect
            key={from}
            className={styles.gap}
            x={x(from)}
            y="8"
            height="18"
            width={Math.max(1, x(to) - x(from))}
          />
        )),
      )}
      {tile.long_us !== null && (
        <path className={styles.longLine} d={`M${String(x(tile.began_us + tile.long_us))} 2V30`} />
      )}
    </svg>
  )
}

/** What it came to, how often it was done again, and what came too late to count. */
function wordsWithMore(tile: Tile, beyond: number): string {
  const words = tile.repeats > 0 ? say.repeated(tileWords(tile), tile.repeats) : tileWords(tile)
  return beyond > 0 ? say.moreIgnored(words, beyond) : words
}

/** One press: what was heard, what it became, what it did, how long it waited. */
export function TileRow({
  shown,
  chosen,
  onChoose,
}: {
  shown: ShownTile
  chosen: boolean
  onChoose: () => void
}) {
  const { tile, elsewhere, was } = shown
  const main = tile.results.find((result) => result.phase !== 'end')
  const beyond = tile.touches.filter((touch) => touch.verdict === 'beyond').length
  return (
    <button
      type="button"
      className={styles.tile}
      aria-pressed={chosen}
      data-phase={main?.phase}
      onClick={onChoose}
    >
      <Picture tile={tile} />
      <span className={styles.tileWords}>
        <small>
          {elsewhere === undefined ? tile.button_name : say.onListener(tile.button_name, elsewhere)}
        </small>
        <strong>
          {main?.gesture && <GestureMark gesture={main.gesture as LaneGesture} />}{' '}
          {wordsWithMore(tile, beyond)}
        </strong>
        {was && <em>{say.decidedAnewWas(was)}</em>}
      </span>
      <span className={styles.tileWait}>{main?.wait}</span>
    </button>
  )
}
