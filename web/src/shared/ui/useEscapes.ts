import { useCallback, useEffect, useRef } from 'react'

/** Whatever is open and has the focus is what an Esc is meant for. */
const NEARER = '[role=dialog], [data-takes-escape], [role=combobox][aria-expanded=true]'

/**
 * Something ends when Esc is pressed so many times with nothing in between, however long that takes; 0: not now.
 * Returns what is to be called for whatever else is heard: it comes in between.
 */
export function useEscapes(times: number, end: () => void): () => void {
  const escapes = useRef(0)
  useEffect(() => {
    escapes.current = 0
    if (times === 0) return
    const onKey = (event: KeyboardEvent) => {
      if (event.repeat) return
      if (event.key === 'Escape' && event.target instanceof Element && event.target.closest(NEARER)) {
        escapes.current = 0
        return
      }
      escapes.current = event.key === 'Escape' ? escapes.current + 1 : 0
      // While it goes on Esc is about that, and closes nothing else.
      if (event.key === 'Escape') event.preventDefault()
      if (escapes.current >= times) end()
    }
    const onOther = () => {
      escapes.current = 0
    }
    window.addEventListener('keydown', onKey, true)
    window.addEventListener('pointerdown', onOther, true)
    return () => {
      window.removeEventListener('keydown', onKey, true)
      window.removeEventListener('pointerdown', onOther, true)
    }
  }, [times, end])
  return useCallback(() => {
    escapes.current = 0
  }, [])
}
