import { useCallback, useEffect, useRef } from 'react'
import { api, must, type BenchView, type HeardView, type WhereNow } from '../../shared/api'
import { StreamSender, type Heard } from '../../shared/hearing'
import { useStable } from '../../shared/ui'

interface Tells {
  onView: (view: HeardView) => void
  onTrouble: (words: string | undefined) => void
  /** Nothing is heard any more. */
  onEnd: () => void
}

const nothing = () => undefined
const NOBODY: Tells = { onView: nothing, onTrouble: nothing, onEnd: nothing }

const beginStream = async (listener: string, raw: boolean) =>
  (
    await must(
      api.POST('/api/listeners/{listener}/streams', { params: { path: { listener } }, body: { raw } }),
    )
  ).id

/**
 * What is heard goes out as streams of this browser’s listener: one while it listens, and one beside it for what is heard
 * anyway. Each is told where the client is on every host.
 */
export function useSending(listener: string | undefined) {
  const tells = useRef<Tells>(NOBODY)
  const main = useRef<StreamSender<HeardView>>(undefined)
  const aside = useRef<StreamSender<HeardView>>(undefined)
  const places = useRef<Record<string, WhereNow>>({})

  const made = useCallback((of: string, raw: boolean) => {
    const sender = new StreamSender<HeardView>({
      begin: () => beginStream(of, raw),
      send: (stream, messages) =>
        must(
          api.POST('/api/streams/{stream}/messages', { params: { path: { stream } }, body: { messages } }),
        ),
      onView: (view) => tells.current.onView(view),
      onTrouble: (words) => tells.current.onTrouble(words),
      onEnd: () => tells.current.onEnd(),
      nowMs: () => performance.now(),
    })
    sender.tellWhere(places.current)
    return sender
  }, [])
  useEffect(
    () => () => {
      main.current?.close()
      aside.current?.close()
    },
    [],
  )
  const tellWhere = useCallback((now: Record<string, WhereNow>) => {
    places.current = { ...places.current, ...now }
    for (const one of [main, aside]) one.current?.tellWhere(places.current)
  }, [])
  /** raw – everything is heard, to find out which button is which. False where there is no listener yet. */
  const begin = useStable((raw: boolean): boolean => {
    if (!listener) return false
    main.current?.close()
    main.current = made(listener, raw)
    return true
  })
  const finish = useCallback(() => main.current?.finish(), [])
  const hear = useCallback((what: string, heard: Heard) => main.current?.hear(what, heard), [])
  const pressAside = useStable((button: string, heard: Heard) => {
    if (!listener) return
    aside.current ??= made(listener, false)
    aside.current.hear(button, heard)
  })
  const replan = useCallback((views: BenchView[]) => main.current?.replan(views), [])
  /** Is a stream one of these? */
  const writes = useCallback(
    (stream: string) => [main, aside].some((one) => one.current?.writes(stream) === true),
    [],
  )
  /** Who is told what comes of it. */
  const tellTo = useCallback((next: Tells) => {
    tells.current = next
  }, [])
  return { tellTo, begin, finish, hear, pressAside, replan, tellWhere, writes }
}
