import { Button, Select } from 'antd'
import type { Button as ButtonData, ButtonFacts, DeviceFacts } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import styles from './devices.module.css'
import { say } from './sentences'

const IS: Record<ButtonFacts['is'], string> = { free: 'free', fixed: 'fixed', needed: say.neededGetAround }
const KINDS: Record<ButtonFacts['kind'], string> = { contact: '', force: say.givesForce, notch: 'steps' }

interface Props {
  device: DeviceFacts
  onAssign: (button: ButtonData) => void
  onCorrect: (button: ButtonFacts) => void
  onCorrectDevice: () => void
}

/** The buttons of a device: what each does by itself, whether it may be had, how it is heard. */
export function ButtonsTable({ device, onAssign, onCorrect, onCorrectDevice }: Props) {
  const mayChange = useMayChange()
  return (
    <div className={styles.scroll}>
      <table className={styles.buttons}>
        <thead>
          <tr>
            <th scope="col">{say.button}</th>
            <th scope="col">{say.itself}</th>
            <th scope="col">{say.freeForOtherJobs}</th>
            <th scope="col">{say.heardAs}</th>
            <th scope="col">
              <span className="seen-by-readers-only">{say.change}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {device.buttons.map((button) => (
            <Row key={button.ref} button={button} onAssign={onAssign} onCorrect={onCorrect} />
          ))}
        </tbody>
      </table>
      {device.carries && (
        <p className={styles.quiet}>
          {say.hereCarriesModes(
            device.carries.gestures.join(', '),
            String(device.carries.modes),
            device.carries.settable
              .map(({ setting, words }) => `${setting.replace(/_ms$/, '').replaceAll('_', ' ')}: ${words}`)
              .join('; '),
          )}
          {device.corrected && ` ${say.saidBy(device.corrected.by ?? say.somebody)}`}
        </p>
      )}
      {device.carried && mayChange && (
        <Button aria-label={say.putRightWhatItCarriesOf(device.name)} onClick={onCorrectDevice}>
          {say.putRightWhatItCarries}
        </Button>
      )}
    </div>
  )
}

function Row({
  button,
  onAssign,
  onCorrect,
}: { button: ButtonFacts } & Omit<Props, 'device' | 'onCorrectDevice'>) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  const notes = [
    KINDS[button.kind],
    button.print && say.print(button.print),
    button.added && say.foundPressing,
  ]
  return (
    <tr data-button={button.ref}>
      <th scope="row">
        {button.off ? <s>{button.name}</s> : button.name}
        <small>{notes.filter(Boolean).join(' · ')}</small>
      </th>
      <td>
        {button.builtin.map(({ gesture, gesture_name, words }) => (
          <span key={gesture}>
            {gesture_name}: {words}
          </span>
        ))}
        {button.builtin.length === 0 && (
          <span>{button.added && !button.corrected ? say.notKnownYet : say.doesNothing}</span>
        )}
        {button.corrected && <small>{say.saidBy(button.corrected.by ?? say.somebody)}</small>}
        {!button.held_back && <small>{say.cantHeldBack}</small>}
      </td>
      <td data-is={button.is}>
        <strong>{IS[button.is]}</strong>
        {button.why && <small>{button.why}</small>}
        {button.claims.map(({ gesture, gesture_name, by, free_by, freed }) => (
          <small key={`${gesture} ${by}`}>
            {freed
              ? say.freed(gesture_name, by, freed.by ?? say.somebody)
              : say.takenFree(gesture_name, by, free_by)}
          </small>
        ))}
      </td>
      <td>
        <span>{button.heard.browser.join(', ') || say.noBrowserHears}</span>
        {button.heard.recording.length > 0 && (
          <small>{say.recording(button.heard.recording.join(', '))}</small>
        )}
        {mayChange && button.signals.length > 1 && (
          <Select
            aria-label={say.whatCounts(button.name)}
            value={button.signal ?? ''}
            options={button.signals.map((signal) => ({ value: signal, label: say.counts(signal) }))}
            onChange={(signal: string) =>
              void change(
                { kind: 'button', button: button.ref, set: { signal } },
                say.countsWithName(button.name, signal),
              )
            }
          />
        )}
      </td>
      <td>
        {mayChange && (
          <div className={styles.rowActions}>
            {button.is !== 'fixed' && (
              <Button aria-label={say.assignWithName(button.name)} onClick={() => onAssign(button)}>
                {say.assign}
              </Button>
            )}
            <Button aria-label={say.putRightWithName(button.name)} onClick={() => onCorrect(button)}>
              {say.putRight}
            </Button>
            <Button
              disabled={busy}
              aria-label={button.off ? say.switchOnNamed(button.name) : say.switchOffNamed(button.name)}
              onClick={() =>
                void change(
                  { kind: 'button', button: button.ref, set: { off: !button.off } },
                  button.off ? say.isOn(button.name) : say.isOff(button.name),
                )
              }
            >
              {button.off ? say.switch : say.switchOff}
            </Button>
            <Button
              disabled={busy}
              aria-label={say.takeOutWithName(button.name)}
              onClick={() => void change({ kind: 'take_out', id: button.ref }, say.takenOut(button.name))}
            >
              {say.takeOut}
            </Button>
          </div>
        )}
      </td>
    </tr>
  )
}
