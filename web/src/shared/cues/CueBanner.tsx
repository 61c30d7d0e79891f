import { useEffect, useState } from 'react'
import styles from './cues.module.css'
import { watchCues } from './giveCue'

const SHOWN_MS = 1600

/** The cue that is to be seen, large, for as long as it takes to read it. */
export function CueBanner() {
  const [cue, setCue] = useState<{ words: string; count: number }>()
  useEffect(() => watchCues((words) => setCue((last) => ({ words, count: (last?.count ?? 0) + 1 }))), [])
  useEffect(() => {
    if (!cue) return undefined
    const timer = setTimeout(() => setCue(undefined), SHOWN_MS)
    return () => clearTimeout(timer)
  }, [cue])
  // It is spoken by the bench, which tells what happened.
  return cue ? (
    <p className={styles.banner} aria-hidden="true" data-cue>
      {cue.words}
    </p>
  ) : null
}
