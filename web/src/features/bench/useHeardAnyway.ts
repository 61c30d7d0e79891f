import { useEffect, useRef } from 'react'
import { useBench } from './benchContext'
import { isPrimary, KEPT_KEYS, onPatch, plugIn, worksTheDesk } from '../../shared/hearing'

const general = (source: string) => source.replace(/^gamepad:\d+:/, 'gamepad:*:')

/**
 * Hears presses of some buttons whether or not the bench listens, by what is bound to them here or
 * by the sources given, and sends them as any press. What works the page itself is heard on a patch
 * only. sources – and the button each stands for
 */
export function useHeardAnyway(
  sources: { source: string; button: string }[],
  buttons: string[],
  onPress: () => void,
) {
  const { bindings, mode, pressAside } = useBench('bindings', 'mode', 'pressAside')
  const find = (source: string) => {
    const bound = bindings.get(source)
    if (bound !== undefined) return buttons.includes(bound) ? bound : undefined
    return sources.find((one) => one.source === general(source))?.button
  }
  const wants = (source: string, target: EventTarget | null) => {
    // What is bound is heard by the bench while it listens.
    if (mode.kind === 'on' && bindings.has(source)) return false
    if (find(source) === undefined || KEPT_KEYS.has(source) || worksTheDesk(source, target)) return false
    return isPrimary(source) ? onPatch(target) : true
  }
  const ear = useRef({ find, wants, onPress, pressAside })
  useEffect(() => {
    ear.current = { find, wants, onPress, pressAside }
  })
  useEffect(
    () =>
      plugIn({
        wants: (source, target) => ear.current.wants(source, target),
        hear: (heard) => {
          const button = ear.current.find(heard.source)
          if (button === undefined) return
          ear.current.pressAside(button, heard)
          if (heard.edge === 'down' || heard.edge === 'notch') ear.current.onPress()
        },
      }),
    [],
  )
}
