import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react'

const Announce = createContext<(words: string) => void>(() => undefined)

/** Says something to a screen reader, politely. */
export function useAnnounce(): (words: string) => void {
  return useContext(Announce)
}

export function Announcer({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState({ words: '', times: 0 })
  const say = useCallback((words: string) => setSaid((last) => ({ words, times: last.times + 1 })), [])
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
