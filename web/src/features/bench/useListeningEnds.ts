import { useEffect } from 'react'
import { useEscapes } from '../../shared/ui'
import type { BenchMode } from './benchContext'

const ESCAPES: Record<BenchMode['kind'], number> = { off: 0, finding: 2, binding: 1, on: 2 }

/**
 * Listening ends when the page loses focus, or by Esc pressed twice; choosing a binding ends by Esc once.
 * Returns what is to be called for every press heard: it comes in between.
 */
export function useListeningEnds(mode: BenchMode['kind'], stop: () => void): () => void {
  useEffect(() => {
    if (mode === 'off') return
    const onHidden = () => {
      if (document.hidden) stop()
    }
    window.addEventListener('blur', stop)
    document.addEventListener('visibilitychange', onHidden)
    return () => {
      window.removeEventListener('blur', stop)
      document.removeEventListener('visibilitychange', onHidden)
    }
  }, [mode, stop])
  return useEscapes(ESCAPES[mode], stop)
}
