import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react'

/** What is said within so much of each other is said as one. */
const TOGETHER_MS = 400

const Announce = createContext<(words: string) => void>(() => undefined)

/** Says something to a screen reader, politely. */
export function useAnnounce(): (words: string) => void {
  return useContext(Announce)
}

export function Announcer({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState({ words: '', times: 0, atMs: 0 })
  const say = useCallback((words: string) => {
    const atMs = performance.now()
    // What follows at once would otherwise take its place before it was spoken.
    setSaid((last) => ({
      words: atMs - last.atMs < TOGETHER_MS ? `${last.words} ${words}` : words,
      times: last.times + 1,
      atMs,
    }))
  }, [])
  const value = useMemo(() => say, [say])
  return (
    <Announce.Provider value={value}>
      {children}
      <div role="status" aria-live="polite" className="seen-by-readers-only">
        {/* The same words twice are said twice: the text differs by an invisible space. */}
        {said.words + (said.times % 2 === 1 ? '\u00a0' : '')}
      </div>
    </Announce.Provider>
  )
}
