import { useEffect, useState } from 'react'
import styles from './cues.module.css'
import { watchCues } from './giveCue'

/** So long it takes to see that there is something, and then to read each of its letters, slowly. */
export const readMs = (words: string): number => 1200 + 70 * words.length

/** The cue that is to be seen, large, for as long as it takes to read it. */
export function CueBanner() {
  const [cue, setCue] = useState<{ words: string; count: number }>()
  useEffect(() => watchCues((words) => setCue((last) => ({ words, count: (last?.count ?? 0) + 1 }))), [])
  useEffect(() => {
    if (!cue) return undefined
    const timer = setTimeout(() => setCue(undefined), readMs(cue.words))
    return () => clearTimeout(timer)
  }, [cue])
  // It is spoken by the bench, which tells what happened.
  return cue ? (
    <p className={styles.banner} aria-hidden="true" data-cue>
      {cue.words}
    </p>
  ) : null
}
