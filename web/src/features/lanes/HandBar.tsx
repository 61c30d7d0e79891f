import { Button, Radio } from 'antd'
import { useEffect } from 'react'
import { useAnnounce, useEscape } from '../../shared/ui'
import { wordOf } from '../assign'
import type { Hand } from './hand'
import styles from './bars.module.css'
import { say } from './sentences'

function wordsOf(hand: Hand): string {
  if (hand.of === 'chip') return say.fromChooseWhereGoes(hand.button.name, wordOf(hand.gesture))
  return hand.free.size === 0 ? say.noFreePlaceTakes : say.freePlacesTakeChoose(String(hand.free.size))
}

interface Props {
  hand: Hand
  onDrop: () => void
  /** What stands somewhere already is moved, or copied. */
  onCopy: (copy: boolean) => void
}

/** Something is in hand: the places for it are marked, and the next that is chosen gets it. */
export function HandBar({ hand, onDrop, onCopy }: Props) {
  const announce = useAnnounce()
  useEscape(onDrop)
  const { name } = hand
  const words = wordsOf(hand)
  useEffect(() => {
    announce(say.hand(name, words))
  }, [announce, name, words])
  return (
    <div className={styles.bar} role="group" aria-label={say.handAlone}>
      <p>
        <strong>“{name}”</strong> {say.handWithWords(words)}
      </p>
      {hand.of === 'chip' && (
        <Radio.Group
          aria-label={say.moveCopy}
          optionType="button"
          buttonStyle="solid"
          value={hand.copy}
          onChange={(event) => onCopy(event.target.value as boolean)}
          options={[
            { value: false, label: say.move },
            { value: true, label: say.copy },
          ]}
        />
      )}
      <Button onClick={onDrop}>{hand.of === 'chip' ? say.leaveWhere : say.putAwayEsc}</Button>
    </div>
  )
}
