import { useEffect, useRef, useState } from 'react'
import { isPrimary, KEPT_KEYS, plugIn, StreamSender, type Ack, type Heard } from '../../shared/hearing'
import { useAnnounce } from '../../shared/ui/Announcer'
import { useEscapes } from '../../shared/ui/useEscapes'
import { nameOfSource, portsFor } from './joined'
import styles from './joined.module.css'
import { say } from './sentences'

/** What works the page: Enter and space on its button. */
const worksButton = (source: string, target: EventTarget | null) =>
  (source === 'key:Enter' || source === 'key:Space') &&
  target instanceof Element &&
  target.closest('button') !== null

const isDown = (heard: Heard) => heard.edge === 'down' || (heard.level ?? 0) > 0

interface Props {
  token: string
  host: string
  onLeave: () => void
}

/** The client's own device while it listens: what is pressed, as large as the screen. */
export function JoinedPage({ token, host, onLeave }: Props) {
  const announce = useAnnounce()
  const [last, setLast] = useState<{ source: string; down: boolean }>()
  const [names, setNames] = useState<Record<string, string>>({})
  const [trouble, setTrouble] = useState<string>()
  const patch = useRef<HTMLDivElement>(null)
  const title = useRef<HTMLHeadingElement>(null)
  const between = useEscapes(2, onLeave)
  useEffect(() => title.current?.focus(), [])

  useEffect(() => {
    const sender = new StreamSender<Ack>({
      ...portsFor(token),
      onView: () => undefined,
      onTrouble: setTrouble,
      onEnd: setTrouble,
      nowMs: () => performance.now(),
    })
    const asked = new Set<string>()
    const nameIt = async (source: string) => {
      if (asked.has(source)) return
      asked.add(source)
      const name = await nameOfSource(token, source).catch(() => source)
      setNames((all) => ({ ...all, [source]: name }))
      announce(name)
    }
    const within = (target: EventTarget | null) =>
      target instanceof Node && patch.current !== null && patch.current.contains(target)
    const unplug = plugIn({
      wants: (source, target) =>
        isPrimary(source) ? within(target) : !KEPT_KEYS.has(source) && !worksButton(source, target),
      hear: (heard) => {
        between()
        sender.hear(heard.source, heard)
        setLast({ source: heard.source, down: isDown(heard) })
        void nameIt(heard.source)
      },
    })
    return () => {
      unplug()
      sender.finish()
    }
  }, [token, announce, between])

  return (
    <main className={styles.listening}>
      <header>
        <h1 ref={title} tabIndex={-1}>
          {say.listeningFor(host)}
        </h1>
        <button type="button" className={styles.button} onClick={onLeave}>
          {say.stopListeningEscEsc}
        </button>
      </header>
      <div ref={patch} className={styles.patch} data-down={last?.down ?? false}>
        {last ? (
          <>
            <strong>{names[last.source] ?? '…'}</strong>
            <span>{last.down ? say.down : say.up}</span>
          </>
        ) : (
          <strong>{say.pressButton}</strong>
        )}
      </div>
      {trouble && <p role="alert">{trouble}</p>}
      <footer>
        <p>{say.keysHeardAnywhereFinger}</p>
        {!window.isSecureContext && <p>{say.thisPageCameWithout}</p>}
      </footer>
    </main>
  )
}
