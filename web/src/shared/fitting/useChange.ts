import { useCallback, useState } from 'react'
import { useAnnounce } from '../ui'
import { Refused } from '../api'
import type { Made, SaveOptions } from './queue'
import { useRevision, useSaving } from './saving'
import { say } from './sentences'

/**
 * Saves a change and says so. True once it is saved; a refusal stays with the desk, which tells it.
 * busy – something of one's own is on its way; refused – why the last of one's own was not saved, for its fields.
 */
export function useChange() {
  return useChangeOn(undefined, undefined)
}

/**
 * The same for a form: what it saves was thought of on the revision on which it was opened.
 * catchUp – somebody has seen what others changed since, and goes on with it
 */
export function useFormChange() {
  const [openedOn, catchUp] = useState(useRevision())
  const [form] = useState(() => Symbol('form'))
  return { ...useChangeOn(openedOn, form), openedOn, catchUp }
}

/** openedOn – undefined: whatever is shown when it is saved */
function useChangeOn(openedOn: number | undefined, form: symbol | undefined) {
  const { queue } = useSaving()
  const announce = useAnnounce()
  const [own, setOwn] = useState(0)
  const [refused, setRefused] = useState<Refused>()
  const change = useCallback(
    async (made: Made, said: string, options: SaveOptions = {}): Promise<boolean> => {
      setOwn((count) => count + 1)
      try {
        const order = { made, openedOn: openedOn ?? queue.shown, options, ...(form ? { form } : {}) }
        const { revision, told } = await queue.save(order)
        setRefused(undefined)
        announce([said, ...told, say.savedAsRevision(String(revision.number))].join(' ').trim())
        return true
      } catch (error) {
        if (error instanceof Refused) setRefused(error)
        return false
      } finally {
        setOwn((count) => count - 1)
      }
    },
    [queue, openedOn, form, announce],
  )
  return { change, busy: own > 0, refused }
}
