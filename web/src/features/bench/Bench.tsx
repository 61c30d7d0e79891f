import { Button } from 'antd'
import { useState } from 'react'
import { Bindings } from './Bindings'
import { useBench } from './benchContext'
import { Pending } from './Pending'
import { Story } from './Story'
import { TileRow } from './TileRow'
import styles from './bench.module.css'

/** What belongs to the bench and opens in the side sheet. */
export type BenchSheet = 'join' | 'hand'

/** Where presses are tried and explained. Always there. */
export function Bench({ onSheet }: { onSheet: (sheet: BenchSheet) => void }) {
  const bench = useBench()
  const [large, setLarge] = useState(false)
  const [chosen, setChosen] = useState<{ key: string; newest: string | undefined }>()
  const { tiles, mode } = bench
  const newest = tiles[0]
  // A choice holds until the next press: then that is what both want to see.
  const kept = chosen?.newest === newest?.tile.key ? chosen : undefined
  const shown = tiles.find(({ tile }) => tile.key === kept?.key) ?? newest

  return (
    <section
      className={large ? styles.benchLarge : styles.bench}
      data-pane
      tabIndex={-1}
      aria-label="Bench"
      data-listening={mode.kind === 'on'}
    >
      <div className={styles.left}>
        <Bindings onSheet={onSheet} />
      </div>
      <div className={styles.presses}>
        <Pending />
        {bench.trouble && <p role="alert">{bench.trouble}</p>}
        {tiles.length === 0 && !bench.loading && (
          <p className={styles.none}>
            No press yet. Say on the left which key or button stands for which, start listening, and press it.
          </p>
        )}
        <ol className={styles.tiles} aria-label="Presses, newest first">
          {tiles.map((one) => (
            <li key={one.tile.key}>
              <TileRow
                shown={one}
                chosen={one === shown}
                onChoose={() => setChosen({ key: one.tile.key, newest: newest?.tile.key })}
              />
            </li>
          ))}
        </ol>
      </div>
      <Story shown={shown}>
        <Button type="text" aria-expanded={large} onClick={() => setLarge(!large)}>
          {large ? 'Smaller bench' : 'Larger bench'}
        </Button>
      </Story>
    </section>
  )
}
