import { useEffect } from 'react'

/** What the window is called while something is shown. */
export function useTitle(words: string): void {
  useEffect(() => {
    document.title = `${words} · Kippen`
  }, [words])
}
