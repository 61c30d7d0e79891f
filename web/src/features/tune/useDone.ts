import { useCallback, useRef, useState } from 'react'
import type { Step } from './queries'

/**
 * A prompt was answered: it is told once, and told again where it could not be. A server that is away for a while is asked
 * again; nothing of the answer is lost meanwhile. tried – how often it failed
 */
export function useDone(take: (step: Step) => Promise<boolean>) {
  const sent = useRef(-1)
  const [tried, setTried] = useState(0)
  const done = useCallback(
    (prompt: number, seen: number) => {
      // What had no answer is not asked again by itself while it is on its way.
      if (sent.current === prompt) return
      sent.current = prompt
      void take({ do: 'done', prompt, seen }).then((ok) => {
        sent.current = -1
        if (!ok) setTried((count) => count + 1)
      })
    },
    [take],
  )
  return { done, tried }
}
