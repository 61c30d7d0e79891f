import { Button, InputNumber } from 'antd'
import { useState } from 'react'
import type { Boundary } from '../../shared/api'
import { useChange, useLanes, useSaving } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import { SETTING_NAMES } from './settingNames'
import styles from './assign.module.css'
import { say } from './sentences'

const EVERYWHERE = { place: 'everywhere', mode: 'base' }
/** The times of one button: those of its device, or its own. */
export function OwnTimes({ button }: { button: string }) {
  const { client } = useSaving()
  const lane = useLanes(client, EVERYWHERE).data?.lanes.find((one) => one.button.ref === button)
  if (!lane?.timed) return null
  return (
    <section aria-labelledby="own-times" className={styles.times}>
      <h3 id="own-times">{say.itsTimes}</h3>
      <p>{say.whatSetHereIts}</p>
      {lane.boundaries.map((boundary) => (
        <Time key={`${boundary.setting} ${String(boundary.value_ms)}`} button={button} boundary={boundary} />
      ))}
    </section>
  )
}

function Time({ button, boundary }: { button: string; boundary: Boundary }) {
  const { change, busy } = useChange()
  const [value, setValue] = useState<number | null>(boundary.value_ms)
  const { setting } = boundary
  const name = SETTING_NAMES[setting] ?? setting
  const set = (next: number | null, said: string) =>
    void change({ kind: 'timing', button, setting, value: next, nearest: true }, said, { tell: true })
  return (
    <div className={styles.time}>
      <Field label={name} hint={boundary.own ? say.itsOwn : say.asItsDevice}>
        <InputNumber
          min={boundary.from_ms}
          max={boundary.to_ms}
          step={boundary.step_ms}
          suffix="ms"
          value={value}
          onChange={setValue}
        />
      </Field>
      <Button
        aria-label={say.setForThisButton(name.toLowerCase())}
        disabled={busy || value === null || value === boundary.value_ms}
        onClick={() => set(value, say.itsOwnWithName(name))}
      >
        {say.set}
      </Button>
      {boundary.own && (
        <Button
          aria-label={say.asItsDeviceWithName(name)}
          disabled={busy}
          onClick={() => set(null, say.asItsDeviceSaid(name))}
        >
          {say.asItsDeviceAlone}
        </Button>
      )}
    </div>
  )
}
