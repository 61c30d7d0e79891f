import { useCallback, useEffect, useRef } from 'react'

/**
 * All that can be chosen in the lanes is one stop for Tab: the one that had the focus last, else the first.
 * Arrows move between them, see useLaneKeys. What is drawn in it stands out of Tab’s way by itself.
 */
export function useRoving() {
  const root = useRef<HTMLElement>(null)
  const current = useRef<HTMLElement>(undefined)

  const settle = useCallback((focused?: HTMLElement) => {
    const stops = () => root.current?.querySelector<HTMLElement>('[data-stop]') ?? undefined
    const before = current.current
    const next = focused ?? (before?.isConnected ? before : stops())
    if (before && before !== next) before.tabIndex = -1
    if (next) next.tabIndex = 0
    current.current = next
  }, [])
  useEffect(() => settle())

  return useCallback(
    (node: HTMLElement | null) => {
      root.current = node
      if (!node) return undefined
      const onFocus = ({ target }: FocusEvent) => {
        if (target instanceof HTMLElement && target.matches('[data-stop]')) settle(target)
      }
      node.addEventListener('focusin', onFocus)
      const watch = new MutationObserver(() => settle())
      watch.observe(node, { childList: true, subtree: true })
      settle()
      return () => {
        watch.disconnect()
        node.removeEventListener('focusin', onFocus)
        root.current = null
      }
    },
    [settle],
  )
}
