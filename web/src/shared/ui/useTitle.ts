import { useEffect } from 'react'
import { say } from './sentences'

/** What the window is called while something is shown. */
export function useTitle(words: string): void {
  useEffect(() => {
    document.title = say.kippenWithWords(words)
  }, [words])
}
