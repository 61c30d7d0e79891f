import { useEffect, useRef } from 'react'
import { useBench } from './benchContext'
import { plugIn } from './hearing'
import { isPrimary, KEPT_KEYS, onPatch, worksTheDesk } from './sources'

const general = (source: string) => source.replace(/^gamepad:\d+:/, 'gamepad:*:')

/**
 * Hears presses of some buttons whether or not the bench listens: by what is bound to them here,
 * or by the sources given. What works the page itself is heard on a patch only.
 */
export function useHeardAnyway(
  sources: string[],
  buttons: string[],
  onPress: (sourceOrButton: string) => void,
) {
  const { bindings } = useBench()
  const find = (source: string) => {
    const bound = bindings.get(source)
    if (bound !== undefined) return buttons.includes(bound) ? bound : undefined
    return sources.includes(general(source)) ? source : undefined
  }
  const wants = (source: string, target: EventTarget | null) => {
    if (find(source) === undefined || KEPT_KEYS.has(source) || worksTheDesk(source, target)) return false
    return isPrimary(source) ? onPatch(target) : true
  }
  const ear = useRef({ find, wants, onPress })
  useEffect(() => {
    ear.current = { find, wants, onPress }
  })
  useEffect(
    () =>
      plugIn({
        wants: (source, target) => ear.current.wants(source, target),
        hear: ({ source, edge }) => {
          const found = edge === 'down' || edge === 'notch' ? ear.current.find(source) : undefined
          if (found) ear.current.onPress(found)
        },
      }),
    [],
  )
}
