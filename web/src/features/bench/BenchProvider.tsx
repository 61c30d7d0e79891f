import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react'
import { api, must, type BenchView, type Button, type HeardView, type WhereNow } from '../../shared/api'
import { giveCue } from '../../shared/cues'
import { useNews, type NoticesOf } from '../../shared/fitting'
import { useAnnounce } from '../../shared/ui'
import { BenchContext, LiveContext, type BenchMode } from './benchContext'
import { hearFound, type FoundSource } from './found'
import {
  type Heard,
  isPrimary,
  KEPT_KEYS,
  onPatch,
  plugIn,
  sourceName,
  StreamSender,
  worksControls,
  worksTheDesk,
} from '../../shared/hearing'
import { pressed, released, settled } from './live'
import { LiveStore } from './liveStore'
import { useBindings } from './useBindings'
import { useElsewhere } from './useElsewhere'
import { useScreens } from '../screens'
import { useClickedFree } from './useClickedFree'
import { useListener } from './useListener'
import { useListeningEnds } from './useListeningEnds'
import { isOwn, nextDevice, nextOf, ownerOf, ownSources } from './binding'
import { useRecognised } from './useRecognised'
import { useTicksOff } from './useTicksOff'
import { useTiles } from './useTiles'
import { say } from './sentences'

interface Props {
  client: string
  buttons: Button[]
  /** What is asked anew, by the notice that tells of it. */
  notices: NoticesOf
  children: ReactNode
}

/** Hears presses for the whole desk and keeps what the bench shows. */
export function BenchProvider({ client, buttons, notices, children }: Props) {
  const announce = useAnnounce()
  const listener = useListener(client)
  const [mode, setMode] = useState<BenchMode>({ kind: 'off' })
  const [live] = useState(() => new LiveStore())
  const [found, setFound] = useState<readonly FoundSource[]>([])
  const [waiting, setWaiting] = useState<BenchView['waiting']>([])
  const [trouble, setTrouble] = useState<string>()
  const sender = useRef<StreamSender<HeardView>>(undefined)
  const aside = useRef<StreamSender<HeardView>>(undefined)

  const onHistory = useCallback((views: BenchView[]) => sender.current?.replan(views), [])
  const shown = useTiles(client, onHistory)
  const { onView: showTiles } = shown
  const ticksOff = useTicksOff(client)
  const showView = useCallback(
    (view: BenchView) => {
      showTiles(view)
      ticksOff(view)
    },
    [showTiles, ticksOff],
  )
  const places = useRef<Record<string, WhereNow>>({})
  const screens = useScreens(client).data
  const tellWhere = useCallback((now: Record<string, WhereNow>) => {
    places.current = { ...places.current, ...now }
    for (const one of [sender, aside]) one.current?.tellWhere(places.current)
  }, [])
  useEffect(() => {
    if (screens) tellWhere(Object.fromEntries(screens.map((one) => [one.host, one.where])))
  }, [screens, tellWhere])
  const onView = useCallback(
    (view: HeardView) => {
      tellWhere(view.places)
      for (const cue of view.cues) giveCue(cue.event, cue.ways, cue.words, view.quiet)
      showView(view)
      setWaiting(view.waiting)
      live.update((state) => settled(state, view.waiting, performance.now()))
    },
    [showView, live, tellWhere],
  )
  const { elsewhere, look } = useElsewhere(showView)
  useNews(client, notices, (stream) => {
    if (!sender.current?.writes(stream) && !aside.current?.writes(stream)) void look(stream)
  })

  const listenerId = listener.id
  const ended = useRef<() => void>(() => undefined)
  const newSender = useCallback(
    (raw: boolean, listenerId: string) =>
      new StreamSender({
        begin: async () =>
          (
            await must(
              api.POST('/api/listeners/{listener}/streams', {
                params: { path: { listener: listenerId } },
                body: { raw },
              }),
            )
          ).id,
        send: (stream, messages) =>
          must(
            api.POST('/api/streams/{stream}/messages', {
              params: { path: { stream } },
              body: { messages },
            }),
          ),
        onView,
        onTrouble: setTrouble,
        onEnd: () => ended.current(),
        nowMs: () => performance.now(),
      }),
    [onView],
  )
  const begin = useCallback(
    (raw: boolean) => {
      if (!listenerId) return false
      sender.current?.close()
      sender.current = newSender(raw, listenerId)
      sender.current.tellWhere(places.current)
      return true
    },
    [listenerId, newSender],
  )
  const pressAside = useCallback(
    (button: string, heard: Heard) => {
      if (!listenerId) return
      if (!aside.current) {
        aside.current = newSender(false, listenerId)
        aside.current.tellWhere(places.current)
      }
      aside.current.hear(button, heard)
    },
    [listenerId, newSender],
  )
  const start = useCallback(() => {
    if (!begin(false)) return
    setMode({ kind: 'on' })
    announce(say.listeningPressEscapeTwice)
  }, [begin, announce])
  const find = useCallback(() => {
    if (!begin(true)) return
    setFound([])
    setMode({ kind: 'finding' })
    announce(say.everythingHeardPressButton)
  }, [begin, announce])
  const stop = useCallback(() => {
    sender.current?.finish()
    setMode({ kind: 'off' })
    live.update(() => ({}))
    setWaiting([])
    announce(say.notListening)
  }, [announce, live])

  // Nothing is heard any more: then it must not say that it listens.
  useEffect(() => {
    ended.current = stop
  }, [stop])
  useEffect(
    () => () => {
      sender.current?.close()
      aside.current?.close()
    },
    [],
  )

  const { bindings } = listener
  const bind = useCallback(([button, ...rest]: readonly Button[]) => {
    setMode(button ? { kind: 'binding', button, rest, many: rest.length > 0 } : { kind: 'off' })
  }, [])
  const skip = useCallback((device = false) => setMode((now) => (device ? nextDevice(now) : nextOf(now))), [])
  const { bindTo, bindOwn, unbind } = useBindings(client, buttons, listener, setTrouble)
  const recognised = useRecognised(buttons, bindings, bindOwn)
  const settle = useCallback(
    (instead: boolean) => {
      if (mode.kind !== 'binding' || !mode.known) return
      if (instead) bindTo(mode.known.source, mode.button)
      setMode(instead ? nextOf(mode) : { ...mode, known: undefined })
    },
    [mode, bindTo],
  )

  const comesBetween = useListeningEnds(mode.kind, stop)
  useClickedFree(mode.kind === 'on' && [...bindings.keys()].some(worksControls))
  // The ear is plugged in once for each mode; what it does follows the newest render.
  const onHeard = (heard: Heard) => {
    if (mode.kind === 'binding') {
      // At the release, and after what the browser makes of it has been swallowed too.
      if (heard.edge === 'down' || (heard.level ?? 0) > 0) return
      const standsAlready = buttons.find((one) => one.ref === bindings.get(heard.source))
      if (standsAlready && standsAlready.ref !== mode.button.ref) {
        setMode({ ...mode, known: { source: heard.source, button: standsAlready } })
        announce(say.knownAlready(sourceName(heard.source), standsAlready.name))
        return
      }
      // While all are asked for, what has an owner of its own is that, whatever is asked for just then.
      const owner = isOwn(heard.source, mode.button)
        ? mode.button
        : mode.many
          ? ownerOf(heard.source, buttons, new Set(bindings.values()))
          : undefined
      const known = owner ? ownSources(heard.source, owner, buttons).map(([, ref]) => ref) : []
      setTimeout(() => setMode((now) => nextOf(now, known)))
      if (owner) bindOwn(heard.source, owner)
      else bindTo(heard.source, mode.button)
      return
    }
    comesBetween()
    if (mode.kind === 'finding') {
      setFound((all) => hearFound(all, heard))
      void recognised(heard.source)
      sender.current?.hear(heard.source, heard)
      return
    }
    const button = bindings.get(heard.source)
    if (button === undefined) return
    sender.current?.hear(button, heard)
    if (heard.edge === 'down') live.update((state) => pressed(state, button, heard.timeMs))
    else if (heard.edge === 'up') live.update((state) => released(state, button, heard.timeMs))
  }
  const wants = (source: string, target: EventTarget | null) => {
    if (mode.kind === 'off' || worksTheDesk(source, target)) return false
    if (mode.kind === 'on' && !bindings.has(source)) return false
    if (isPrimary(source)) return onPatch(target)
    return mode.kind === 'on' || !KEPT_KEYS.has(source)
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

  const { tiles, error: tilesError, pending } = shown
  const state = useMemo(
    () => ({
      mode,
      buttons,
      bindings,
      tiles,
      waiting,
      found,
      elsewhere,
      trouble: trouble ?? listener.error?.message ?? tilesError,
      loading: !listenerId || pending,
      start,
      find,
      stop,
      bind,
      skip,
      bindOwn,
      bindTo,
      unbind,
      settle,
      pressAside,
    }),
    [
      mode,
      buttons,
      bindings,
      tiles,
      waiting,
      found,
      elsewhere,
      trouble,
      listener.error,
      tilesError,
      pending,
      listenerId,
      start,
      find,
      stop,
      bind,
      skip,
      bindOwn,
      bindTo,
      unbind,
      settle,
      pressAside,
    ],
  )
  return (
    <LiveContext.Provider value={live}>
      <BenchContext.Provider value={state}>{children}</BenchContext.Provider>
    </LiveContext.Provider>
  )
}
