import { Button } from 'antd'
import type { Chip } from '../../shared/api'
import styles from './assign.module.css'
import { say } from './sentences'

/** What can be done with the assignment that stands on the gesture. */
export function StandsThere(props: {
  chip: Chip
  onClear: () => void
  onSwitch: () => void
  onCarry: (copy: boolean) => void
}) {
  const { chip, onClear, onSwitch, onCarry } = props
  return (
    <div className={styles.stands} role="group" aria-label={`“${chip.name}”`}>
      <Button aria-label={say.takeOffWithName(chip.name)} onClick={onClear}>
        {say.takeOff}
      </Button>
      <Button aria-label={chip.off ? say.switch(chip.name) : say.switchOff(chip.name)} onClick={onSwitch}>
        {chip.off ? say.switchAlone : say.switchOffAlone}
      </Button>
      <Button aria-label={say.moveElsewhere(chip.name)} onClick={() => onCarry(false)}>
        {say.move}
      </Button>
      <Button aria-label={say.copyElsewhere(chip.name)} onClick={() => onCarry(true)}>
        {say.copy}
      </Button>
    </div>
  )
}
