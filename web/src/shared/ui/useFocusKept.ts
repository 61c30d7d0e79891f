import { useEffect } from 'react'

const FOCUSABLE =
  'a[href], button:enabled, input:enabled, [tabindex]:not([tabindex="-1"]), [data-stop], [data-pane]'

/**
 * The focus never falls to the page itself: where what had it goes, as a button does that has been worked, it is
 * given to what is nearest to where that stood. What gives it somewhere on purpose goes first.
 */
export function useFocusKept(): void {
  useEffect(() => {
    /** What had it last, and all that it stood in, from near to far. */
    let path: Element[] = []
    let frame = 0
    const onFocus = ({ target }: FocusEvent) => {
      path = []
      for (let one = target instanceof Element ? target : null; one; one = one.parentElement) path.push(one)
    }
    const look = () => {
      const [had] = path
      if (document.activeElement !== document.body || !had) return
      // It could not be worked for a moment, and can again.
      if (had.isConnected)
        return had instanceof HTMLElement && !had.matches(':disabled') ? had.focus() : undefined
      for (const near of path.filter((one) => one.isConnected && one !== document.documentElement)) {
        const next = near.matches(FOCUSABLE) ? near : near.querySelector(FOCUSABLE)
        if (next instanceof HTMLElement) {
          next.focus({ preventScroll: true })
          return
        }
      }
    }
    const watch = new MutationObserver(() => {
      cancelAnimationFrame(frame)
      // After whoever gives it somewhere on purpose.
      frame = requestAnimationFrame(() => setTimeout(look))
    })
    // Whoever points elsewhere wants it elsewhere.
    const onPointer = () => {
      path = []
    }
    document.addEventListener('focusin', onFocus)
    document.addEventListener('pointerdown', onPointer, true)
    watch.observe(document.body, {
      childList: true,
      subtree: true,
      attributes: true,
      attributeFilter: ['disabled'],
    })
    return () => {
      document.removeEventListener('focusin', onFocus)
      document.removeEventListener('pointerdown', onPointer, true)
      watch.disconnect()
      cancelAnimationFrame(frame)
    }
  }, [])
}
