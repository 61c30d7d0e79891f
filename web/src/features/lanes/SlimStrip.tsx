import type { Lane, LaneGesture } from '../../shared/api'
import type { Chosen } from '../assign'
import { ChipButton, EmptyButton } from './ChipButton'
import { gestureOf } from './picking'
import styles from './lanes.module.css'

/** What a button does on which nothing depends on time, and what could be added; and what must be known of it. */
export function SlimStrip(props: {
  lane: Lane
  chosen: LaneGesture | undefined
  words: string[]
  onChoose: (chosen: Chosen) => void
}) {
  const { lane, chosen, words, onChoose } = props
  const { button } = lane
  return (
    <div className={styles.slim}>
      {lane.chips.map((chip) => (
        <ChipButton
          key={chip.gesture}
          chip={chip}
          lane={lane}
          chosen={chosen}
          onChoose={() => onChoose({ button, gesture: gestureOf(chip) })}
        />
      ))}
      {lane.empties.map((empty) => (
        <EmptyButton
          key={empty.gesture}
          empty={empty}
          button={button}
          chosen={chosen}
          onChoose={() => onChoose({ button, gesture: empty.gesture })}
        />
      ))}
      {words.map((one) => (
        <p key={one}>{one}</p>
      ))}
    </div>
  )
}
