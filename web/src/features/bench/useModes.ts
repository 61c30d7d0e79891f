import { useCallback, useState } from 'react'
import type { Button } from '../../shared/api'
import { useAnnounce, useStable } from '../../shared/ui'
import type { BenchMode } from './benchContext'
import { nextDevice, nextOf } from './binding'
import { say } from './sentences'

interface Does {
  /** Begins a stream; false where it can’t. */
  begin: (raw: boolean) => boolean
  finish: () => void
  /** What was heard while a button was looked for is forgotten. */
  onFinding: () => void
  onStop: () => void
}

/** Whether the bench listens, looks for a button, or asks for presses that shall stand for buttons. */
export function useModes({ begin, finish, onFinding, onStop }: Does) {
  const announce = useAnnounce()
  const [mode, setMode] = useState<BenchMode>({ kind: 'off' })
  const start = useStable(() => {
    if (!begin(false)) return
    setMode({ kind: 'on' })
    announce(say.listeningPressEscapeTwice)
  })
  const find = useStable(() => {
    if (!begin(true)) return
    onFinding()
    setMode({ kind: 'finding' })
    announce(say.everythingHeardPressButton)
  })
  const stop = useStable(() => {
    finish()
    setMode({ kind: 'off' })
    onStop()
    announce(say.notListening)
  })
  const bind = useCallback(([button, ...rest]: readonly Button[]) => {
    setMode(button ? { kind: 'binding', button, rest, many: rest.length > 0 } : { kind: 'off' })
  }, [])
  const skip = useCallback((device = false) => setMode((now) => (device ? nextDevice(now) : nextOf(now))), [])
  return { mode, setMode, start, find, stop, bind, skip }
}
