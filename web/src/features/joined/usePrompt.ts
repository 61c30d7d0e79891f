import { useCallback, useEffect, useRef, useState } from 'react'
import type { JoinedPrompt } from '../../shared/api'
import { promptOf } from './joined'

/** While something is asked, and while nothing is. */
const ASKED_MS = 700
const IDLE_MS = 2500

/** What the client is asked just now; looked for again and again, and at once after a press. */
export function usePrompt(token: string): [JoinedPrompt | undefined, () => void] {
  const [prompt, setPrompt] = useState<JoinedPrompt>()
  const look = useRef<() => void>(() => undefined)
  useEffect(() => {
    let over = false
    let next: ReturnType<typeof setTimeout> | undefined
    // What was asked before another was answers nothing new.
    let asked = 0
    const ask = async () => {
      clearTimeout(next)
      const mine = (asked += 1)
      // A server that is away for a while ends no prompt.
      const found = await promptOf(token).catch(() => null)
      if (over || mine !== asked) return
      if (found !== null) setPrompt(found)
      next = setTimeout(() => void ask(), found ? ASKED_MS : IDLE_MS)
    }
    look.current = () => void ask()
    void ask()
    return () => {
      over = true
      clearTimeout(next)
    }
  }, [token])
  return [prompt, useCallback(() => look.current(), [])]
}
