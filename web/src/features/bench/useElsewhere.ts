import { useCallback, useRef, useState } from 'react'
import { api, must, Refused, type BenchView } from '../../shared/api'
import type { Elsewhere } from './benchContext'

const MOST = 4

/** Follows streams that other listeners write: asked anew whenever the news say so. */
export function useElsewhere(onView: (view: BenchView) => void) {
  const [elsewhere, setElsewhere] = useState<readonly Elsewhere[]>([])
  const asking = useRef(new Map<string, 'once' | 'again'>())

  const look = useCallback(
    async (stream: string): Promise<void> => {
      if (asking.current.has(stream)) {
        asking.current.set(stream, 'again')
        return
      }
      do {
        asking.current.set(stream, 'once')
        try {
          const view = await must(api.GET('/api/streams/{stream}', { params: { path: { stream } } }))
          onView(view)
          if (view.heard.length > 0)
            setElsewhere((all) => [view, ...all.filter((one) => one.stream !== stream)].slice(0, MOST))
        } catch (error) {
          if (!(error instanceof Refused)) throw error
          break
        }
      } while (asking.current.get(stream) === 'again')
      asking.current.delete(stream)
    },
    [onView],
  )
  return { elsewhere, look }
}
