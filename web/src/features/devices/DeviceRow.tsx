import { useState } from 'react'
import type { Button as ButtonData, Desk, DeviceFacts } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'
import { useMayChange } from '../../shared/session'
import { DeviceDrawing, MenuButton } from '../../shared/ui'
import { useDown } from '../bench'
import { DeviceState } from './DeviceState'
import { BatteryNote, ButtonsTable } from './lazy'
import { FoldButton } from './FoldButton'
import { OtherEdition } from './OtherEdition'
import { ReadySteps } from './ReadySteps'
import styles from './row.module.css'
import { say } from './sentences'
import { useDeviceMenu } from './useDeviceMenu'

interface Props {
  desk: Desk
  device: DeviceFacts
  all: DeviceFacts[]
  open: boolean
  onSheet: (sheet: SheetAddress) => void
  onAssign: (button: ButtonData) => void
}

function facts(device: DeviceFacts, all: DeviceFacts[]): string {
  const carrier = all.find((other) => other.id === device.seat?.device)
  return [
    device.edition === null
      ? (device.kind_name ?? say.noKnownKind)
      : say.ofEdition(device.kind_name ?? '', device.edition),
    carrier && say.sits(carrier.name, device.seat?.place ?? ''),
    device.version && say.version(device.version),
    device.worked_with && say.workedWith(device.worked_with),
    device.mounting && say.isMounted(device.mounting),
    device.posture && say.hasPosture(device.posture),
  ]
    .filter(Boolean)
    .join(' · ')
}

const stepsWords = (count: number): string =>
  count === 0 ? say.allDone : count === 1 ? say.oneStepToGo : say.stepsToGo(String(count))

const buttonsWords = (count: number): string => (count === 1 ? say.oneButton : say.buttons(String(count)))

/** One device in a row: its drawing, its name, what it is ready for, what comes next; its steps and buttons open below. */
export function DeviceRow({ desk, device, all, open, onSheet, onAssign }: Props) {
  const mayChange = useMayChange()
  const [noting, setNoting] = useState(false)
  const menu = useDeviceMenu(device, onSheet, () => setNoting(true))
  const drawn = desk.hosts.flatMap((host) => host.devices).find((one) => one.id === device.id)
  const down = useDown(device.buttons.map((button) => button.ref))
  const toDo = device.steps.filter(({ state }) => state !== 'done' && state !== 'seen').length
  // What somebody has to do is in sight; what Kippen will see by itself can wait.
  const [stepsOpen, setStepsOpen] = useState(
    open || device.steps.some((step) => step.state === 'open' && !step.can_see),
  )
  const [buttonsOpen, setButtonsOpen] = useState(open)
  const { name, buttons } = device
  return (
    <article
      className={styles.device}
      aria-label={name}
      data-device={device.id}
      data-off={device.off}
      data-seated={device.seat !== null}
    >
      <div className={styles.row}>
        <DeviceDrawing
          drawing={drawn?.drawing ?? null}
          height={40}
          down={down.map((ref) => ref.split('/')[1] ?? '')}
        />
        <div className={styles.who}>
          <h4>{device.off ? <s>{name}</s> : name}</h4>
          <p>{facts(device, all)}</p>
        </div>
        <DeviceState device={device} all={all} />
        <div className={styles.actions}>
          {device.steps.length > 0 && (
            <FoldButton
              open={stepsOpen}
              about={name}
              onOpen={setStepsOpen}
              title={say.gettingReady(stepsWords(toDo))}
            >
              {stepsWords(toDo)}
            </FoldButton>
          )}
          {buttons.length > 0 && (
            <FoldButton
              open={buttonsOpen}
              about={name}
              onOpen={setButtonsOpen}
              title={buttonsWords(buttons.length)}
            >
              {buttonsWords(buttons.length)}
            </FoldButton>
          )}
          {mayChange && (
            <MenuButton label={say.moreOf(name)} items={menu}>
              <span aria-hidden="true">⋯</span>
            </MenuButton>
          )}
        </div>
      </div>
      {(noting || device.battery !== null) && <BatteryNote device={device} />}
      <OtherEdition device={device} onLook={(id) => onSheet({ of: 'take-up', id })} />
      {stepsOpen && device.steps.length > 0 && <ReadySteps device={device} />}
      {buttonsOpen && buttons.length > 0 && (
        <ButtonsTable
          device={device}
          onAssign={onAssign}
          onCorrect={(button) => onSheet({ of: 'correct', id: button.ref })}
          onCorrectDevice={() => onSheet({ of: 'correct-device', id: device.id })}
        />
      )}
    </article>
  )
}
