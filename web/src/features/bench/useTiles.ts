import { say } from './sentences'
import { useRevision } from '../../shared/fitting'
import { useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { keys, api, must, type BenchView } from '../../shared/api'
import { useAnnounce } from '../../shared/ui'
import { NO_TILES, shownTiles, takeHistory, takeView, tileWords } from './tiles'

/** What the bench shows: the latest streams, and every newer view of one. */
export function useTiles(client: string, own: string | undefined, onHistory: (views: BenchView[]) => void) {
  const announce = useAnnounce()
  const [tiles, setTiles] = useState(NO_TILES)
  const told = useRef(new Set<string>())
  const history = useQuery({
    queryKey: keys.bench(client, useRevision()),
    placeholderData: (before) => before,
    queryFn: async () => {
      const bench = await must(api.GET('/api/clients/{client}/bench', { params: { path: { client } } }))
      return bench.streams.map((stream): BenchView => ({ ...stream, revision: bench.revision }))
    },
  })
  const [historyTaken, setHistoryTaken] = useState<BenchView[]>()
  if (history.data && history.data !== historyTaken) {
    setHistoryTaken(history.data)
    setTiles(takeHistory(tiles, history.data))
  }
  useEffect(() => {
    if (history.data) onHistory(history.data)
  }, [history.data, onHistory])

  const onView = useCallback(
    (view: BenchView) => {
      setTiles((state) => takeView(state, view))
      // A long-press is told when it acts, not when it is let go.
      const news = view.tiles.filter((one) => one.results.length > 0 && !told.current.has(one.key))
      for (const tile of news) {
        told.current.add(tile.key)
        const main = tile.results[0]
        announce(
          main?.wait
            ? say.tileAfter(tile.button_name, tileWords(tile), main.wait)
            : say.tile(tile.button_name, tileWords(tile)),
          'press',
        )
      }
    },
    [announce],
  )
  return {
    tiles: useMemo(() => shownTiles(tiles, own), [tiles, own]),
    onView,
    error: history.error?.message,
    pending: history.isPending,
  }
}
