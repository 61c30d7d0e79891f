import { useCallback } from 'react'
import { useAnnounce } from '../ui'
import { useSaving, type Made, type SaveOptions } from './saving'

/** Saves a change and says so. True once it is saved; a refusal stays with the desk, which tells it. */
export function useChange() {
  const { save, state } = useSaving()
  const announce = useAnnounce()
  const change = useCallback(
    async (made: Made, said: string, options?: SaveOptions): Promise<boolean> => {
      try {
        const revision = await save(made, options)
        announce(`${said} Saved as revision ${String(revision.number)}.`)
        return true
      } catch {
        return false
      }
    },
    [save, announce],
  )
  return { change, busy: state.kind === 'saving' }
}
