import { useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react'
import { api, must, type BenchView, type Button } from '../../shared/api'
import { useAnnounce } from '../../shared/ui'
import { BenchContext, type BenchMode } from './benchContext'
import { plugIn, type Heard } from './hearing'
import { pressed, released, settled, type LiveByButton } from './live'
import { isPrimary, sourceName } from './sources'
import { StreamSender } from './streamSender'
import { NO_TILES, shownTiles, takeHistory, takeView, tileWords } from './tiles'
import { useListener } from './useListener'
import { useListeningEnds } from './useListeningEnds'

const NEVER_HEARD = '[data-never-heard]'
const HEARS_PRIMARY = '[data-hears-primary]'
/** Needed to get around by keyboard, and to stop: never bound. */
const KEPT_KEYS = new Set(['key:Escape', 'key:Tab', 'key:ShiftLeft', 'key:ShiftRight'])

const within = (target: EventTarget | null, selector: string) =>
  target instanceof Element && target.closest(selector) !== null

interface Props {
  client: string
  buttons: Button[]
  children: ReactNode
}

/** Hears presses for the whole desk and keeps what the bench shows. */
export function BenchProvider({ client, buttons, children }: Props) {
  const announce = useAnnounce()
  const listener = useListener(client)
  const [mode, setMode] = useState<BenchMode>({ kind: 'off' })
  const [live, setLive] = useState<LiveByButton>({})
  const [tiles, setTiles] = useState(NO_TILES)
  const [waiting, setWaiting] = useState<BenchView['waiting']>([])
  const [trouble, setTrouble] = useState<string>()
  const sender = useRef<StreamSender>(undefined)
  const told = useRef(new Set<string>())

  const history = useQuery({
    queryKey: ['bench', client],
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
    if (history.data) sender.current?.replan(history.data)
  }, [history.data])

  const onView = useCallback(
    (view: BenchView) => {
      setTiles((state) => takeView(state, view))
      setWaiting(view.waiting)
      setLive((state) => settled(state, view.waiting, performance.now()))
      // A long-press is told when it acts, not when it is let go.
      const news = view.tiles.filter((one) => one.results.length > 0 && !told.current.has(one.key))
      for (const tile of news) {
        told.current.add(tile.key)
        const main = tile.results[0]
        announce(`${tile.button_name}: ${tileWords(tile)}${main?.wait ? `, ${main.wait}` : ''}`)
      }
    },
    [announce],
  )

  const listenerId = listener.id
  const start = useCallback(() => {
    if (!listenerId) return
    sender.current?.close()
    sender.current = new StreamSender({
      begin: async () =>
        (
          await must(
            api.POST('/api/listeners/{listener}/streams', { params: { path: { listener: listenerId } } }),
          )
        ).id,
      send: (stream, messages) =>
        must(
          api.POST('/api/streams/{stream}/messages', { params: { path: { stream } }, body: { messages } }),
        ),
      onView,
      onTrouble: setTrouble,
      nowMs: () => performance.now(),
    })
    setMode({ kind: 'on' })
    announce('Listening. Press Escape twice to stop.')
  }, [listenerId, onView, announce])

  const stop = useCallback(() => {
    sender.current?.finish()
    setMode({ kind: 'off' })
    setLive({})
    setWaiting([])
    announce('Not listening.')
  }, [announce])

  useEffect(() => () => sender.current?.close(), [])

  const { bindings, rebind } = listener
  const bind = useCallback((button: Button) => setMode({ kind: 'binding', button }), [])
  const change = useCallback(
    async (next: Map<string, string>, words: string) => {
      try {
        await rebind(next)
        setTrouble(undefined)
        announce(words)
      } catch (error) {
        setTrouble(error instanceof Error ? error.message : 'The binding could not be saved.')
      }
    },
    [rebind, announce],
  )
  const without = useCallback(
    (button: Button) => new Map([...bindings].filter(([, ref]) => ref !== button.ref)),
    [bindings],
  )
  const unbind = useCallback(
    (button: Button) => void change(without(button), `Nothing stands for ${button.name} any more.`),
    [change, without],
  )

  const comesBetween = useListeningEnds(mode.kind, stop)
  // The ear is plugged in once for each mode; what it does follows the newest render.
  const onHeard = (heard: Heard) => {
    if (mode.kind === 'binding') {
      if (heard.edge === 'down') return
      // At the release, and after what the browser makes of it has been swallowed too.
      setTimeout(() => setMode({ kind: 'off' }))
      const next = without(mode.button).set(heard.source, mode.button.ref)
      void change(next, `${sourceName(heard.source)} stands for ${mode.button.name}.`)
      return
    }
    comesBetween()
    const button = bindings.get(heard.source)
    if (button === undefined) return
    sender.current?.hear(button, heard.edge, heard.timeMs)
    setLive((state) => (heard.edge === 'down' ? pressed : released)(state, button, heard.timeMs))
  }
  const wants = (source: string, target: EventTarget | null) => {
    if (mode.kind === 'off' || within(target, NEVER_HEARD)) return false
    if (mode.kind === 'on') return bindings.has(source)
    return isPrimary(source) ? within(target, HEARS_PRIMARY) : !KEPT_KEYS.has(source)
  }
  const ear = useRef({ wants, hear: onHeard })
  useEffect(() => {
    ear.current = { wants, hear: onHeard }
  })
  const hearing = mode.kind !== 'off'
  useEffect(() => {
    if (!hearing) return
    return plugIn({
      wants: (source, target) => ear.current.wants(source, target),
      hear: (heard) => ear.current.hear(heard),
    })
  }, [hearing])

  const state = useMemo(
    () => ({
      mode,
      buttons,
      bindings,
      live,
      tiles: shownTiles(tiles),
      waiting,
      trouble: trouble ?? listener.error?.message ?? history.error?.message,
      loading: !listenerId || history.isPending,
      start,
      stop,
      bind,
      unbind,
    }),
    [
      mode,
      buttons,
      bindings,
      live,
      tiles,
      waiting,
      trouble,
      listener.error,
      history.error,
      history.isPending,
      listenerId,
      start,
      stop,
      bind,
      unbind,
    ],
  )
  return <BenchContext.Provider value={state}>{children}</BenchContext.Provider>
}
