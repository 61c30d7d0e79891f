import { useEffect, useLayoutEffect, useState } from 'react'
import type { BenchView, Button, HeardView } from '../../shared/api'
import { giveCue } from '../../shared/cues'
import { useNews, type NoticesOf } from '../../shared/fitting'
import { worksControls, type Heard } from '../../shared/hearing'
import { useStable } from '../../shared/ui'
import { useScreens } from '../screens'
import type { BenchState } from './benchContext'
import { nextOf } from './binding'
import { hearFound, type FoundSource } from './found'
import { pressed, released, settled } from './live'
import type { LiveStore } from './liveStore'
import { useBindings } from './useBindings'
import { useClickedFree } from './useClickedFree'
import { useEar } from './useEar'
import { useElsewhere } from './useElsewhere'
import { useListener } from './useListener'
import { useListeningEnds } from './useListeningEnds'
import { useModes } from './useModes'
import { useRecognised } from './useRecognised'
import { useSending } from './useSending'
import { useTicksOff } from './useTicksOff'
import { useTiles } from './useTiles'

/** All that a bench is: what is heard, what it became, what stands for what; live – what buttons are doing just now. */
export function useBenchState(
  client: string,
  buttons: Button[],
  notices: NoticesOf,
  live: LiveStore,
): BenchState {
  const listener = useListener(client)
  const [found, setFound] = useState<readonly FoundSource[]>([])
  const [waiting, setWaiting] = useState<BenchView['waiting']>([])
  const [trouble, setTrouble] = useState<string>()

  const sending = useSending(listener.id)
  const tiles = useTiles(client, listener.id, sending.replan)
  const ticksOff = useTicksOff(client)
  const showView = useStable((view: BenchView) => {
    tiles.onView(view)
    ticksOff(view)
  })
  const onView = (view: HeardView) => {
    sending.tellWhere(view.places)
    for (const cue of view.cues) giveCue(cue.event, cue.ways, cue.words, view.quiet)
    showView(view)
    setWaiting(view.waiting)
    live.update((state) => settled(state, view.waiting, performance.now()))
  }
  const modes = useModes({
    ...sending,
    onFinding: () => setFound([]),
    onStop: () => {
      live.update(() => ({}))
      setWaiting([])
    },
  })
  const { mode, setMode } = modes
  const tells = { onView, onTrouble: setTrouble, onEnd: modes.stop }
  useLayoutEffect(() => sending.tellTo(tells))

  const { tellWhere } = sending
  const screens = useScreens(client).data
  useEffect(() => {
    if (screens) tellWhere(Object.fromEntries(screens.map((one) => [one.host, one.where])))
  }, [screens, tellWhere])
  const { elsewhere, look } = useElsewhere(showView)
  useNews(client, notices, (stream) => {
    if (!sending.writes(stream)) void look(stream)
  })

  const { bindings } = listener
  const { bindTo, bindOwn, unbind } = useBindings(client, buttons, listener, setTrouble)
  const recognised = useRecognised(buttons, bindings, bindOwn)
  const settle = useStable((instead: boolean) => {
    if (mode.kind !== 'binding' || !mode.known) return
    if (instead) bindTo(mode.known.source, mode.button)
    setMode(instead ? nextOf(mode) : { ...mode, known: undefined })
  })
  const comesBetween = useListeningEnds(mode.kind, modes.stop)
  useClickedFree(mode.kind === 'on' && [...bindings.keys()].some(worksControls))
  const onFound = (heard: Heard) => {
    setFound((all) => hearFound(all, heard))
    void recognised(heard.source)
    sending.hear(heard.source, heard)
  }
  const onPress = (button: string, heard: Heard) => {
    sending.hear(button, heard)
    if (heard.edge === 'down') live.update((state) => pressed(state, button, heard.timeMs))
    else if (heard.edge === 'up') live.update((state) => released(state, button, heard.timeMs))
  }
  useEar({ mode, setMode, buttons, bindings, bindTo, bindOwn, comesBetween, onFound, onPress })

  return {
    mode,
    buttons,
    bindings,
    tiles: tiles.tiles,
    waiting,
    found,
    elsewhere,
    trouble: trouble ?? listener.error?.message ?? tiles.error,
    loading: !listener.id || tiles.pending,
    start: modes.start,
    find: modes.find,
    stop: modes.stop,
    bind: modes.bind,
    skip: modes.skip,
    bindOwn: useStable(bindOwn),
    bindTo: useStable(bindTo),
    unbind: useStable(unbind),
    settle,
    pressAside: sending.pressAside,
  }
}
