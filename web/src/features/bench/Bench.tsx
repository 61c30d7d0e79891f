import { useEffect, useRef, useState, type CSSProperties, type ReactNode } from 'react'
import { BenchBar } from './BenchBar'
import { BindingPad, ListeningPad } from './BindingPad'
import { Bound } from './Bound'
import { useBench, useHearsHere } from './benchContext'
import { Story } from './Story'
import { TileRow } from './TileRow'
import { useBenchSize } from './useBenchSize'
import styles from './bench.module.css'
import { say } from './sentences'

/** What belongs to the bench and opens in the side sheet. */
export type BenchSheet = 'join' | 'hand' | 'answers'

interface Props {
  client: string
  onSheet: (sheet: BenchSheet) => void
  screen: ReactNode
  /** What must be known of how it hears. */
  notice?: ReactNode
}

/** Where presses are tried and explained. Always there: one line until there is something to see. */
export function Bench({ client, onSheet, screen, notice }: Props) {
  const { tiles, mode, loading, bindings } = useBench('tiles', 'mode', 'loading', 'bindings')
  const size = useBenchSize()
  const [chosen, setChosen] = useState<{ key: string; newest: string | undefined }>()
  const newest = tiles[0]
  // A choice holds until the next press: then that is what both want to see.
  const kept = chosen?.newest === newest?.tile.key ? chosen : undefined
  const shown = tiles.find(({ tile }) => tile.key === kept?.key) ?? newest
  const binding = mode.kind === 'binding'
  const hearsHere = useHearsHere()
  useGrowing(size.grow, newest?.tile.key, binding, loading)

  return (
    <section
      className={styles.bench}
      style={{ '--bench-height': `${String(size.px)}px` } as CSSProperties}
      data-pane
      data-open={size.open}
      data-noticed={Boolean(notice)}
      tabIndex={-1}
      aria-label={say.bench}
      data-listening={mode.kind === 'on'}
    >
      {/* Its keys and its name are those of a separator that can be moved. */}
      <div className={styles.edge} {...size.edge} />
      <BenchBar
        onSheet={onSheet}
        open={size.open}
        onOpen={size.toggle}
        screen={size.screen && size.open}
        onScreen={size.toggleScreen}
      />
      {notice}
      {size.open && (
        <div className={styles.body} data-screen={size.screen}>
          <div className={styles.left}>
            {binding ? (
              <BindingPad button={mode.button} many={mode.many} known={mode.known} />
            ) : (
              <>
                {hearsHere && <ListeningPad />}
                <Bound />
              </>
            )}
          </div>
          <div className={styles.presses}>
            {tiles.length === 0 && !loading && (
              <p className={styles.none}>{bindings.size === 0 ? say.noPressYetTeach : say.noPressYetStart}</p>
            )}
            <ol className={styles.tiles} aria-label={say.pressesNewestFirst}>
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
          <Story client={client} shown={shown} />
          {size.screen && screen}
        </div>
      )}
    </section>
  )
}

/** It grows by itself once: for the first press that comes while the desk is open; and while buttons are asked for. */
function useGrowing(grow: () => void, newest: string | undefined, binding: boolean, loading: boolean) {
  const first = useRef<{ key: string | undefined }>(undefined)
  const grown = useRef(false)
  const growing = useRef(grow)
  useEffect(() => {
    growing.current = grow
  })
  useEffect(() => {
    if (loading || grown.current) return
    // What was there when the desk was opened is nothing new.
    first.current ??= { key: newest }
    if (newest === first.current.key) return
    grown.current = true
    growing.current()
  }, [newest, loading])
  useEffect(() => {
    if (binding) growing.current()
  }, [binding])
}
