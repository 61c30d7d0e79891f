import { Button } from 'antd'
import { useEffect, useRef } from 'react'
import type { Button as ButtonData } from '../../shared/api'
import { useBench } from '../bench'
import { say } from './sentences'
import styles from './tune.module.css'

/** Who hears the presses: this browser, once it knows the button; or another device that joined. */
export function HeardBy({
  button,
  bound,
  onJoin,
}: {
  button: ButtonData | undefined
  bound: boolean
  onJoin: () => void
}) {
  const { mode, start, stop, bind, bindings } = useBench('mode', 'start', 'stop', 'bind', 'bindings')
  if (!button) return null
  return (
    <p className={styles.row}>
      {say.heardBy}
      {mode.kind === 'on' && bound && (
        <>
          <strong>{say.thisBrowserListens}</strong>
          <Button onClick={stop}>{say.stopListening}</Button>
        </>
      )}
      {mode.kind === 'binding' && <strong>{say.pressedHere}</strong>}
      {mode.kind !== 'binding' && !bound && <Button onClick={() => bind([button])}>{say.teachIt}</Button>}
      {mode.kind === 'off' && bound && bindings.size > 0 && <Button onClick={start}>{say.listenHere}</Button>}
      <Button onClick={onJoin}>{say.theirDevice}</Button>
    </p>
  )
}

/** Who asks for presses listens: once the button is known, and again after it was taught. */
export function useListensToo(button: ButtonData | undefined) {
  const { mode, start, bindings, loading } = useBench('mode', 'start', 'bindings', 'loading')
  const bound = button !== undefined && [...bindings.values()].includes(button.ref)
  const begun = useRef(false)
  useEffect(() => {
    if (!bound || loading || mode.kind !== 'off' || begun.current) return
    begun.current = true
    start()
  }, [bound, loading, mode.kind, start])
}
