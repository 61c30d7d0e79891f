import { Button, InputNumber, Select } from 'antd'
import { useState } from 'react'
import type { Button as ButtonData, Lane } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { forEach } from './picking'
import styles from './lanes.module.css'

const SETTINGS = [
  { value: 'long_press_ms', label: 'Long-press time' },
  { value: 'tap_gap_ms', label: 'Tap gap' },
  { value: 'gap_bridge_ms', label: 'Gap bridge' },
  { value: 'bounce_guard_ms', label: 'Bounce guard' },
  { value: 'brush_guard_ms', label: 'Brush guard' },
]

interface Props {
  lanes: Lane[]
  onAll: () => void
  onNone: () => void
  onAssign: (buttons: ButtonData[]) => void
}

/** What can be done with several buttons as one change. */
export function SeveralBar({ lanes, onAll, onNone, onAssign }: Props) {
  const { change, busy } = useChange()
  const [setting, setSetting] = useState('long_press_ms')
  const [ms, setMs] = useState<number | null>(500)
  const none = lanes.length === 0 || busy
  const count = lanes.length === 1 ? '1 button' : `${String(lanes.length)} buttons`
  const word = SETTINGS.find((one) => one.value === setting)?.label ?? setting
  const time = () =>
    void change(
      forEach(lanes, ({ button }) => ({ kind: 'timing', button: button.ref, setting, value: ms ?? 0 })),
      `${word} of ${count}: ${String(ms)} ms.`,
    )
  const turn = (off: boolean) =>
    void change(
      forEach(lanes, ({ button }) => ({ kind: 'button', button: button.ref, set: { off } })),
      `${count} switched ${off ? 'off' : 'on'}.`,
    )
  return (
    <div className={styles.bar} role="group" aria-label="Several at once">
      <p>
        <strong>{count}</strong> chosen
      </p>
      <Button onClick={onAll}>All shown</Button>
      <Button disabled={none} onClick={onNone}>
        None
      </Button>
      <Button type="primary" disabled={none} onClick={() => onAssign(lanes.map((lane) => lane.button))}>
        Give them an action
      </Button>
      <span className={styles.barTime}>
        <Select aria-label="Time to set" value={setting} options={SETTINGS} onChange={setSetting} />
        <InputNumber
          aria-label="Milliseconds"
          min={0}
          max={5000}
          step={10}
          suffix="ms"
          value={ms}
          onChange={setMs}
        />
        <Button disabled={none || ms === null} onClick={time}>
          Set for all
        </Button>
      </span>
      <Button disabled={none} onClick={() => turn(true)}>
        Switch off
      </Button>
      <Button disabled={none} onClick={() => turn(false)}>
        Switch on
      </Button>
    </div>
  )
}
