import { Button } from 'antd'
import { useEffect } from 'react'
import { useAnnounce, useEscape } from '../../shared/ui'
import type { Hand } from './hand'
import styles from './lanes.module.css'
import { say } from './sentences'

/** An action is in hand: every free place for it is marked, and one press puts it on. */
export function HandBar({ hand, onDrop }: { hand: Hand; onDrop: () => void }) {
  const announce = useAnnounce()
  useEscape(onDrop)
  const { name, free } = hand
  const words = free.size === 0 ? say.noFreePlaceTakes : say.freePlacesTakeChoose(String(free.size))
  useEffect(() => {
    announce(say.hand(name, words))
  }, [announce, name, words])
  return (
    <div className={styles.bar} role="group" aria-label={say.handAlone}>
      <p>
        <strong>“{name}”</strong> {say.handWithWords(words)}
      </p>
      <Button onClick={onDrop}>{say.putAwayEsc}</Button>
    </div>
  )
}
