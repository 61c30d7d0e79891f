import { useEffect, useRef } from 'react'

/** The spot that had the focus last: it gets it back where a change has put something else in its place. */
export function useSpotFocus(lanes: unknown) {
  const spot = useRef<string>(undefined)
  useEffect(() => {
    if (!spot.current || document.activeElement !== document.body) return
    document.querySelector<HTMLElement>(`[data-spot="${spot.current}"]`)?.focus()
  }, [lanes])
  return spot
}
