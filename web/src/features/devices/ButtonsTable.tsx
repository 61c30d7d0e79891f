import { Button, Select } from 'antd'
import type { Button as ButtonData, ButtonFacts, DeviceFacts } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import styles from './devices.module.css'

const IS: Record<ButtonFacts['is'], string> = { free: 'free', fixed: 'fixed', needed: 'needed to get around' }
const KINDS: Record<ButtonFacts['kind'], string> = { contact: '', force: 'gives force', notch: 'steps' }

interface Props {
  device: DeviceFacts
  onAssign: (button: ButtonData) => void
}

/** The buttons of a device: what each does by itself, whether it may be had, how it is heard. */
export function ButtonsTable({ device, onAssign }: Props) {
  return (
    <div className={styles.scroll}>
      <table className={styles.buttons}>
        <thead>
          <tr>
            <th scope="col">Button</th>
            <th scope="col">By itself</th>
            <th scope="col">Free for other jobs</th>
            <th scope="col">Heard as</th>
            <th scope="col">
              <span className="seen-by-readers-only">Change</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {device.buttons.map((button) => (
            <Row key={button.ref} button={button} onAssign={onAssign} />
          ))}
        </tbody>
      </table>
      {device.carries && (
        <p className={styles.quiet}>
          Here it carries {device.carries.gestures.join(', ')}; {device.carries.modes} modes.{' '}
          {device.carries.settable
            .map(({ setting, words }) => `${setting.replace(/_ms$/, '').replaceAll('_', ' ')}: ${words}`)
            .join('; ')}
          .
        </p>
      )}
    </div>
  )
}

function Row({ button, onAssign }: { button: ButtonFacts; onAssign: Props['onAssign'] }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  const notes = [
    KINDS[button.kind],
    button.print && `print: ${button.print}`,
    button.added && 'found by pressing',
  ]
  return (
    <tr data-button={button.ref}>
      <th scope="row">
        {button.off ? <s>{button.name}</s> : button.name}
        <small>{notes.filter(Boolean).join(' · ')}</small>
      </th>
      <td>
        {button.builtin.map(({ gesture, words }) => (
          <span key={gesture}>
            {gesture}: {words}
          </span>
        ))}
        {button.builtin.length === 0 && <span>nothing known</span>}
        {!button.held_back && <small>can’t be held back</small>}
      </td>
      <td data-is={button.is}>
        <strong>{IS[button.is]}</strong>
        {button.why && <small>{button.why}</small>}
        {button.claims.map((claim) => (
          <small key={claim.gesture}>
            {claim.gesture} is taken by {claim.by}. To free it: {claim.free_by}.
          </small>
        ))}
      </td>
      <td>
        <span>{button.heard.browser.join(', ') || 'no browser hears it'}</span>
        {button.heard.recording.length > 0 && <small>recording: {button.heard.recording.join(', ')}</small>}
        {mayChange && button.signals.length > 1 && (
          <Select
            aria-label={`What counts of ${button.name}`}
            value={button.signal ?? ''}
            options={button.signals.map((signal) => ({ value: signal, label: `${signal} counts` }))}
            onChange={(signal: string) =>
              void change(
                { kind: 'button', button: button.ref, set: { signal } },
                `${button.name}: ${signal} counts.`,
              )
            }
          />
        )}
      </td>
      <td>
        {mayChange && (
          <div className={styles.rowActions}>
            {button.is !== 'fixed' && (
              <Button aria-label={`Assign ${button.name}`} onClick={() => onAssign(button)}>
                Assign
              </Button>
            )}
            <Button
              disabled={busy}
              aria-label={`${button.off ? 'Switch on' : 'Switch off'} ${button.name}`}
              onClick={() =>
                void change(
                  { kind: 'button', button: button.ref, set: { off: !button.off } },
                  `${button.name} is ${button.off ? 'on' : 'off'}.`,
                )
              }
            >
              {button.off ? 'Switch on' : 'Switch off'}
            </Button>
            <Button
              disabled={busy}
              aria-label={`Take out ${button.name}`}
              onClick={() =>
                void change({ kind: 'take_out', id: button.ref }, `${button.name} is taken out.`)
              }
            >
              Take out
            </Button>
          </div>
        )}
      </td>
    </tr>
  )
}
