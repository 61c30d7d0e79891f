import { Button } from 'antd'
import type { Chip } from '../../shared/api'
import styles from './assign.module.css'

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
      <Button aria-label={`Take off “${chip.name}”`} onClick={onClear}>
        Take off
      </Button>
      <Button
        aria-label={chip.off ? `Switch on “${chip.name}”` : `Switch off “${chip.name}”`}
        onClick={onSwitch}
      >
        {chip.off ? 'Switch on' : 'Switch off'}
      </Button>
      <Button aria-label={`Move “${chip.name}” elsewhere`} onClick={() => onCarry(false)}>
        Move …
      </Button>
      <Button aria-label={`Copy “${chip.name}” elsewhere`} onClick={() => onCarry(true)}>
        Copy …
      </Button>
    </div>
  )
}
