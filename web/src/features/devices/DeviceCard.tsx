import { Button } from 'antd'
import { useId, useState, type ReactNode } from 'react'
import type { Button as ButtonData, Desk, DeviceFacts } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { DeviceDrawing } from '../../shared/ui'
import { useDown } from '../bench'
import { BatteryNote } from './BatteryNote'
import { ButtonsTable } from './ButtonsTable'
import { OtherEdition } from './OtherEdition'
import { ReadySteps } from './ReadySteps'
import styles from './devices.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  device: DeviceFacts
  all: DeviceFacts[]
  open: boolean
  onSheet: (sheet: SheetAddress) => void
  onAssign: (button: ButtonData) => void
}

const isDone = (state: string) => state === 'done' || state === 'seen'

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

/** One device: its drawing, what is known of it, what it can't do yet, its buttons, its steps. */
export function DeviceCard({ desk, device, all, open, onSheet, onAssign }: Props) {
  const mayChange = useMayChange()
  const { change } = useChange()
  const drawn = desk.hosts.flatMap((host) => host.devices).find((one) => one.id === device.id)
  const down = useDown(device.buttons.map((button) => button.ref))
  const done = device.steps.filter((step) => isDone(step.state)).length
  const open_ = device.steps.length - done
  const name = device.name
  return (
    <article className={styles.device} aria-label={name} data-device={device.id} data-off={device.off}>
      <div className={styles.deviceHead}>
        <DeviceDrawing
          drawing={drawn?.drawing ?? null}
          height={104}
          down={down.map((ref) => ref.split('/')[1] ?? '')}
        />
        <div className={styles.words}>
          <h4>{device.off ? <s>{name}</s> : name}</h4>
          <p>{facts(device, all)}</p>
          {device.off && <p className={styles.strong}>{say.switchedOffKeptBut}</p>}
          <BatteryNote device={device} />
          <OtherEdition device={device} onLook={(id) => onSheet({ of: 'take-up', id })} />
          {device.unsure && <p className={styles.strong}>{say.unsure(device.unsure)}</p>}
          {device.stops.length > 0 && (
            <p className={styles.strong}>{say.notReadyYet(device.stops.join('. '))}</p>
          )}
        </div>
        {mayChange && (
          <div className={styles.actions}>
            <Button
              aria-label={say.settingsWithName(name)}
              onClick={() => onSheet({ of: 'settings', about: 'device', id: device.id })}
            >
              {say.settings}
            </Button>
            <Button
              aria-label={say.backHowCameWithName(name)}
              onClick={() => onSheet({ of: 'reset', id: device.id })}
            >
              {say.backHowCame}
            </Button>
            <Button
              aria-label={say.changeWithName(name)}
              onClick={() => onSheet({ of: 'device', id: device.id })}
            >
              {say.change}
            </Button>
            <Button aria-label={say.copyMirror(name)} onClick={() => onSheet({ of: 'copy', id: device.id })}>
              {say.copyMirrorAlone}
            </Button>
            <Button
              aria-label={device.off ? say.switchOnNamed(name) : say.switchOffNamed(name)}
              onClick={() =>
                void change(
                  { kind: 'device', device: device.id, set: { off: !device.off } },
                  device.off ? say.isOn(name) : say.isOff(name),
                )
              }
            >
              {device.off ? say.switch : say.switchOff}
            </Button>
            <Button
              aria-label={say.takeOutWithName(name)}
              onClick={() => void change({ kind: 'take_out', id: device.id }, say.takenOutCanBrought(name))}
            >
              {say.takeOut}
            </Button>
          </div>
        )}
      </div>
      {device.steps.length > 0 && (
        <Fold
          // Shown alone it is unfolded, whatever it was before.
          key={`steps ${String(open)}`}
          title={
            open_ === 0
              ? say.gettingReadyAllDone
              : open_ === 1
                ? say.oneStepToGo
                : say.stepsToGo(String(open_))
          }
          about={name}
          // What somebody has to do is in sight; what Kippen will see by itself can wait.
          open={open || device.steps.some((step) => step.state === 'open' && !step.can_see)}
        >
          <ReadySteps device={device} />
        </Fold>
      )}
      {device.buttons.length > 0 && (
        <Fold
          key={`buttons ${String(open)}`}
          title={device.buttons.length === 1 ? '1 button' : say.buttons(String(device.buttons.length))}
          about={name}
          open={open}
        >
          <ButtonsTable
            device={device}
            onAssign={onAssign}
            onCorrect={(button) => onSheet({ of: 'correct', id: button.ref })}
            onCorrectDevice={() => onSheet({ of: 'correct-device', id: device.id })}
          />
        </Fold>
      )}
      {device.seats.length > 0 && (
        <p className={styles.quiet}>
          {device.seats
            .map((seat) => {
              const sits = all.find((other) => other.id === seat.device)
              return sits ? say.holds(seat.place, sits.name) : say.empty(seat.place)
            })
            .join(' · ')}
        </p>
      )}
    </article>
  )
}

function Fold(props: { title: string; about: string; open: boolean; children: ReactNode }) {
  const [open, setOpen] = useState(props.open)
  const id = useId()
  return (
    <div className={styles.fold}>
      <Button
        type="text"
        aria-expanded={open}
        aria-controls={id}
        aria-label={`${props.title}, ${props.about}`}
        onClick={() => setOpen(!open)}
      >
        <span aria-hidden="true">{open ? '▾' : '▸'}</span> {props.title}
      </Button>
      <div id={id}>{open && props.children}</div>
    </div>
  )
}
