import { Button, InputNumber, Select } from 'antd'
import { useState } from 'react'
import type { Button as ButtonData, Lane } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { forEach } from './picking'
import styles from './bars.module.css'
import { say } from './sentences'

const SETTINGS = [
  { value: 'long_press_ms', label: say.longPressTime },
  { value: 'tap_gap_ms', label: say.tapGap },
  { value: 'gap_bridge_ms', label: say.gapBridge },
  { value: 'bounce_guard_ms', label: say.bounceGuard },
  { value: 'brush_guard_ms', label: say.brushGuard },
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
  const count = lanes.length === 1 ? '1 button' : say.buttons(String(lanes.length))
  const word = SETTINGS.find((one) => one.value === setting)?.label ?? setting
  const time = () =>
    void change(
      forEach(lanes, ({ button }) => ({ kind: 'timing', button: button.ref, setting, value: ms ?? 0 })),
      say.msWithWord(word, count, String(ms)),
    )
  const turn = (off: boolean) =>
    void change(
      forEach(lanes, ({ button }) => ({ kind: 'button', button: button.ref, set: { off } })),
      off ? say.severalOff(count) : say.severalOn(count),
    )
  return (
    <div className={styles.bar} role="group" aria-label={say.severalOnce}>
      <p>
        <strong>{count}</strong> {say.chosen}
      </p>
      <Button onClick={onAll}>{say.allShown}</Button>
      <Button disabled={none} onClick={onNone}>
        {say.none}
      </Button>
      <Button type="primary" disabled={none} onClick={() => onAssign(lanes.map((lane) => lane.button))}>
        {say.giveThemAction}
      </Button>
      <span className={styles.barTime}>
        <Select aria-label={say.timeSet} value={setting} options={SETTINGS} onChange={setSetting} />
        <InputNumber
          aria-label={say.milliseconds}
          min={0}
          max={5000}
          step={10}
          suffix="ms"
          value={ms}
          onChange={setMs}
        />
        <Button disabled={none || ms === null} onClick={time}>
          {say.setForAll}
        </Button>
      </span>
      <Button disabled={none} onClick={() => turn(true)}>
        {say.switchOff}
      </Button>
      <Button disabled={none} onClick={() => turn(false)}>
        {say.switch}
      </Button>
    </div>
  )
}
