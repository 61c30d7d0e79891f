import { useCallback, useEffect, useRef } from 'react'
import type { BenchMode } from './benchContext'

/**
 * Listening ends when the page loses focus, or by Esc pressed twice with nothing in
 * between, however long that takes. Choosing a binding ends by Esc once.
 * Returns what is to be called for every press heard: it comes in between.
 */
export function useListeningEnds(mode: BenchMode['kind'], stop: () => void): () => void {
  const escapes = useRef(0)
  useEffect(() => {
    if (mode === 'off') return
    escapes.current = 0
    const onKey = (event: KeyboardEvent) => {
      if (event.repeat) return
      escapes.current = event.key === 'Escape' ? escapes.current + 1 : 0
      // While it listens it is about listening, and closes nothing else.
      if (event.key === 'Escape') event.preventDefault()
      if (escapes.current >= (mode === 'binding' ? 1 : 2)) stop()
    }
    const onOther = () => {
      escapes.current = 0
    }
    const onHidden = () => {
      if (document.hidden) stop()
    }
    window.addEventListener('keydown', onKey, true)
    window.addEventListener('pointerdown', onOther, true)
    window.addEventListener('blur', stop)
    document.addEventListener('visibilitychange', onHidden)
    return () => {
      window.removeEventListener('keydown', onKey, true)
      window.removeEventListener('pointerdown', onOther, true)
      window.removeEventListener('blur', stop)
      document.removeEventListener('visibilitychange', onHidden)
    }
  }, [mode, stop])
  return useCallback(() => {
    escapes.current = 0
  }, [])
}
