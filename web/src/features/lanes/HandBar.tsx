import { Button } from 'antd'
import { useEffect } from 'react'
import { useAnnounce, useEscape } from '../../shared/ui'
import type { Hand } from './hand'
import styles from './lanes.module.css'

/** An action is in hand: every free place for it is marked, and one press puts it on. */
export function HandBar({ hand, onDrop }: { hand: Hand; onDrop: () => void }) {
  const announce = useAnnounce()
  useEscape(onDrop)
  const { name, free } = hand
  const words =
    free.size === 0
      ? 'No free place takes it, as far as devices are shown here.'
      : `${String(free.size)} free places take it: choose one.`
  useEffect(() => {
    announce(`“${name}” is in hand. ${words}`)
  }, [announce, name, words])
  return (
    <div className={styles.bar} role="group" aria-label="In hand">
      <p>
        <strong>“{name}”</strong> is in hand. {words}
      </p>
      <Button onClick={onDrop}>Put it away (Esc)</Button>
    </div>
  )
}
