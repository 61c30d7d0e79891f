import { useEffect, useRef } from 'react'
import type { Button } from '../../shared/api'
import {
  isPrimary,
  KEPT_KEYS,
  onPatch,
  plugIn,
  sourceName,
  worksTheDesk,
  type Heard,
} from '../../shared/hearing'
import { useAnnounce } from '../../shared/ui'
import type { BenchMode } from './benchContext'
import { isOwn, nextOf, ownerOf, ownSources } from './binding'
import { say } from './sentences'

interface Props {
  mode: BenchMode
  setMode: (next: BenchMode | ((now: BenchMode) => BenchMode)) => void
  buttons: Button[]
  /** Source → button. */
  bindings: ReadonlyMap<string, string>
  bindTo: (source: string, button: Button) => void
  bindOwn: (source: string, button: Button) => void
  /** Called for whatever is heard, before all else. */
  comesBetween: () => void
  onFound: (heard: Heard) => void
  onPress: (button: string, heard: Heard) => void
}

/** Hears with the whole desk, as its mode asks: the ear is plugged in once for each, and follows the newest render. */
export function useEar(props: Props): void {
  const announce = useAnnounce()
  const { mode, bindings } = props

  /** A press stands for the button that is asked for, or for the one whose own it is. */
  const onBinding = (heard: Heard, asked: Extract<BenchMode, { kind: 'binding' }>) => {
    const { buttons, setMode, bindTo, bindOwn } = props
    // At the release, and after what the browser makes of it has been swallowed too.
    if (heard.edge === 'down' || (heard.level ?? 0) > 0) return
    const standsAlready = buttons.find((one) => one.ref === bindings.get(heard.source))
    if (standsAlready && standsAlready.ref !== asked.button.ref) {
      setMode({ ...asked, known: { source: heard.source, button: standsAlready } })
      announce(say.knownAlready(sourceName(heard.source), standsAlready.name))
      return
    }
    // While all are asked for, what has an owner of its own is that, whatever is asked for just then.
    const owner = isOwn(heard.source, asked.button)
      ? asked.button
      : asked.many
        ? ownerOf(heard.source, buttons, new Set(bindings.values()))
        : undefined
    const known = owner ? ownSources(heard.source, owner, buttons).map(([, ref]) => ref) : []
    setTimeout(() => setMode((now) => nextOf(now, known)))
    if (owner) bindOwn(heard.source, owner)
    else bindTo(heard.source, asked.button)
  }
  const hear = (heard: Heard) => {
    if (mode.kind === 'binding') {
      onBinding(heard, mode)
      return
    }
    props.comesBetween()
    const button = bindings.get(heard.source)
    if (mode.kind === 'finding') props.onFound(heard)
    else if (button !== undefined) props.onPress(button, heard)
  }
  const wants = (source: string, target: EventTarget | null) => {
    if (mode.kind === 'off' || worksTheDesk(source, target)) return false
    if (mode.kind === 'on' && !bindings.has(source)) return false
    if (isPrimary(source)) return onPatch(target)
    return mode.kind === 'on' || !KEPT_KEYS.has(source)
  }
  const ear = useRef({ wants, hear })
  useEffect(() => {
    ear.current = { wants, hear }
  })
  const hearing = mode.kind !== 'off'
  useEffect(() => {
    if (!hearing) return undefined
    return plugIn({
      wants: (source, target) => ear.current.wants(source, target),
      hear: (heard) => ear.current.hear(heard),
    })
  }, [hearing])
}
