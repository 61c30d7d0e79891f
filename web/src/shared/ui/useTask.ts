import { useCallback, useState } from 'react'
import { Refused } from '../api'

/** Something asked of the server: is it on its way, and why was it refused? */
export function useTask<Given extends unknown[]>(work: (...given: Given) => Promise<unknown>) {
  const [busy, setBusy] = useState(false)
  const [refused, setRefused] = useState<Refused>()
  const run = useCallback(
    async (...given: Given): Promise<boolean> => {
      setBusy(true)
      try {
        await work(...given)
        setRefused(undefined)
        return true
      } catch (error) {
        if (!(error instanceof Refused)) throw error
        setRefused(error)
        return false
      } finally {
        setBusy(false)
      }
    },
    [work],
  )
  const forget = useCallback(() => setRefused(undefined), [])
  return { run, busy, refused, forget }
}
