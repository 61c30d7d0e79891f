import { useEffect, useRef } from 'react'

/** So long the step’s own script may take, in ms. */
const WAIT_MS = 5000

/** Whoever goes to another step is at its heading, and reads on from there. */
export function useHeadingFocus(step: string): void {
  const last = useRef(step)
  useEffect(() => {
    if (last.current === step) return undefined
    last.current = step
    const until = performance.now() + WAIT_MS
    let frame = 0
    const look = () => {
      const heading = document.querySelector<HTMLElement>('main h2')
      // A sheet that is open, or whatever took it meanwhile, keeps it.
      const { activeElement } = document
      const free = activeElement === document.body || activeElement?.closest('header nav') !== null
      if (!free) return
      if (heading) {
        heading.tabIndex = -1
        heading.focus({ preventScroll: true })
      } else if (performance.now() < until) frame = requestAnimationFrame(look)
    }
    frame = requestAnimationFrame(look)
    return () => cancelAnimationFrame(frame)
  }, [step])
}
