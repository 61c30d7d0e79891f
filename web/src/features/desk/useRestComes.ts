import { useEffect } from 'react'
import { SHEETS, STEPS } from './steps'

/** So long after a desk is there, in ms: nobody waits for what is shown. */
const AFTER_MS = 2000

/** When nothing else is to do, the scripts of the other steps and of the sheets come too: they open at once, and without a server. */
export function useRestComes(): void {
  useEffect(() => {
    const timer = window.setTimeout(() => {
      for (const { View } of [...STEPS, ...Object.values(SHEETS)]) View.begin()
    }, AFTER_MS)
    return () => window.clearTimeout(timer)
  }, [])
}
