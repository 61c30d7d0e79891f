import { useEffect } from 'react'
import { owner } from './owner'

/** Once for all pages: see the owner. */
export function useFocusOwner(): void {
  useEffect(() => {
    let frame = 0
    const watch = new MutationObserver(() => {
      cancelAnimationFrame(frame)
      // After whoever gives it somewhere on purpose.
      frame = requestAnimationFrame(() => setTimeout(owner.look))
    })
    document.addEventListener('focusin', owner.onFocus)
    document.addEventListener('pointerdown', owner.onPointer, true)
    watch.observe(document.body, {
      childList: true,
      subtree: true,
      attributes: true,
      attributeFilter: ['disabled'],
    })
    return () => {
      document.removeEventListener('focusin', owner.onFocus)
      document.removeEventListener('pointerdown', owner.onPointer, true)
      watch.disconnect()
      cancelAnimationFrame(frame)
    }
  }, [])
}
