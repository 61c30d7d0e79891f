import { Radio } from 'antd'
import { useState } from 'react'
import type { Desk } from '../../shared/api'
import { useWhere, type Spot } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import { OnButtonSheet } from './OnButtonSheet'
import { say } from './sentences'

type How = 'held' | 'latch' | 'lock'

const HOWS = (['held', 'latch', 'lock'] as const).map((value) => ({ value, label: say.how[value] }))

/** Which button takes a mode, and for how long. */
export function TakeModeSheet(props: { desk: Desk; id: string; spot: Spot; onClose: () => void }) {
  const { desk, id } = props
  const mode = useWhere(desk.id).data?.modes.find((one) => one.id === id)
  const [how, setHow] = useState<How>('held')
  if (!mode) return null
  return (
    <OnButtonSheet
      {...props}
      title={say.giveModeButton(mode.name)}
      buttons={desk.hosts.flatMap((host) => host.devices.flatMap((device) => device.buttons))}
      only={how === 'held' ? 'hold' : undefined}
      make={(on) => ({ kind: 'assign', mode: 'base', action: { kind: 'mode', mode: id, how }, ...on })}
      said={(button) => say.takesMode(button, mode.name)}
    >
      <Field label={say.takenHow}>
        <Radio.Group
          vertical
          value={how}
          options={HOWS}
          onChange={(event) => setHow(event.target.value as How)}
        />
      </Field>
    </OnButtonSheet>
  )
}
