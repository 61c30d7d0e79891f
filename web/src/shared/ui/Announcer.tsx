import { createContext, useCallback, useContext, useEffect, useState, type ReactNode } from 'react'

/** What comes often, and of which only the newest matters: it takes the place of one that was not spoken yet. */
export type Passing = 'press' | 'move'

/** A sentence is spoken at about fifteen letters a second, after a moment. */
const READ_MS = (words: string) => Math.min(6000, 400 + words.length * 65)

const Announce = createContext<(words: string, passing?: Passing) => void>(() => undefined)

/** Says something to a screen reader, politely; passing – see there. */
export function useAnnounce() {
  return useContext(Announce)
}

interface Said {
  id: number
  words: string
  passing: Passing | undefined
}

/** With something more to say: after all that waits, or in place of one that it passes. */
export function queued(waiting: readonly Said[], next: Said): Said[] {
  return [...waiting.filter((one) => one.passing === undefined || one.passing !== next.passing), next]
}

/** One thing is said after the other, each for as long as it takes to be spoken. */
export function Announcer({ children }: { children: ReactNode }) {
  const [queue, setQueue] = useState<{ count: number; now: Said | undefined; waiting: readonly Said[] }>({
    count: 0,
    now: undefined,
    waiting: [],
  })
  const say = useCallback((words: string, passing?: Passing) => {
    setQueue(({ count, now, waiting }) => {
      const next = { id: count, words, passing }
      return now
        ? { count: count + 1, now, waiting: queued(waiting, next) }
        : { count: count + 1, now: next, waiting }
    })
  }, [])
  const { now } = queue
  useEffect(() => {
    if (!now) return undefined
    const timer = setTimeout(
      () => setQueue(({ count, waiting: [next, ...waiting] }) => ({ count, now: next, waiting })),
      READ_MS(now.words),
    )
    return () => clearTimeout(timer)
  }, [now])
  return (
    <Announce.Provider value={say}>
      {children}
      {/* Each is an element of its own: the same words again are something new. */}
      <div role="status" aria-live="polite" aria-atomic="false" className="seen-by-readers-only">
        {now && <p key={now.id}>{now.words}</p>}
      </div>
    </Announce.Provider>
  )
}
