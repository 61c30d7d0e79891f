import { useEffect, useRef, useState } from 'react'
import { isPrimary, KEPT_KEYS, plugIn, StreamSender, type Ack, type Heard } from '../../shared/hearing'
import { useAnnounce } from '../../shared/ui/Announcer'
import { useEscapes } from '../../shared/ui/useEscapes'
import type { HeardView, Screen } from '../../shared/api'
import { CueBanner, giveCue } from '../../shared/cues'
import { ScreenPicture, soonest } from '../../shared/screen'
import { BigPrompt } from '../../shared/prompt'
import { nameOfSource, portsFor, screenOf } from './joined'
import { usePrompt } from './usePrompt'
import styles from './joined.module.css'
import { say } from './sentences'

/** What works the page: Enter and space on its button. */
const worksButton = (source: string, target: EventTarget | null) =>
  (source === 'key:Enter' || source === 'key:Space') &&
  target instanceof Element &&
  target.closest('button') !== null

const isDown = (heard: Heard) => heard.edge === 'down' || (heard.level ?? 0) > 0

type Answer = Ack & Pick<HeardView, 'cues' | 'quiet' | 'places'>

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
  const [screen, setScreen] = useState<Screen>()
  const [prompt, lookForPrompt] = usePrompt(token)
  const patch = useRef<HTMLDivElement>(null)
  const title = useRef<HTMLHeadingElement>(null)
  const between = useEscapes(2, onLeave)
  useEffect(() => title.current?.focus(), [])

  useEffect(() => {
    let later: ReturnType<typeof setTimeout> | undefined
    // What stands on the screen is no matter of being heard: without it one listens all the same.
    const look = async () => {
      const now = await screenOf(token).catch(() => undefined)
      if (!now) return
      setScreen(now)
      clearTimeout(later)
      const due = soonest([now])
      if (due !== undefined) later = setTimeout(() => void look(), due)
      sender.tellWhere({ [now.host]: now.where })
    }
    const sender = new StreamSender<Answer>({
      ...portsFor(token),
      onView: ({ cues, quiet, places }) => {
        sender.tellWhere(places)
        for (const cue of cues) giveCue(cue.event, cue.ways, cue.words, quiet)
        if (Object.keys(places).length > 0) void look()
        lookForPrompt()
      },
      onTrouble: setTrouble,
      onEnd: setTrouble,
      nowMs: () => performance.now(),
    })
    void look()
    const asked = new Set<string>()
    const nameIt = async (source: string) => {
      if (asked.has(source)) return
      asked.add(source)
      const name = await nameOfSource(token, source).catch(() => source)
      setNames((all) => ({ ...all, [source]: name }))
      announce(name, 'press')
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
      clearTimeout(later)
      sender.finish()
    }
  }, [token, announce, between, lookForPrompt])

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
        {prompt ? (
          <BigPrompt {...prompt} down={prompt.down || (last?.down ?? false)} />
        ) : last ? (
          <>
            <strong>{names[last.source] ?? '…'}</strong>
            <span>{last.down ? say.down : say.up}</span>
          </>
        ) : (
          <strong>{say.pressButton}</strong>
        )}
      </div>
      {screen && !prompt && <ScreenPicture screen={screen} />}
      <CueBanner />
      {trouble && <p role="alert">{trouble}</p>}
      <footer>
        <p>{say.keysHeardAnywhereFinger}</p>
        {!window.isSecureContext && <p>{say.thisPageCameWithout}</p>}
      </footer>
    </main>
  )
}
