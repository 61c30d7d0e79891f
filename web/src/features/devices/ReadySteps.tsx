import { Button } from 'antd'
import type { DeviceFacts, Step } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import styles from './devices.module.css'

const WHEN = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' })

function stateWords(step: Step): string {
  const when = step.at ? WHEN.format(new Date(step.at)) : ''
  if (step.state === 'seen') return `✓ heard by Kippen itself, ${when}`
  if (step.state === 'done') return `✓ ticked off by ${step.by ?? 'somebody'}, ${when}`
  if (step.state === 'later') return `later, first: ${step.needs.join(', ')}`
  if (step.changed_from) return `to do again: it was done in version ${step.changed_from}`
  return step.can_see ? 'to do; Kippen sees it by itself' : 'to do; ticked off by hand'
}

/** The steps of getting a device ready, in their order. */
export function ReadySteps({ device }: { device: DeviceFacts }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  const mark = (step: Step, done: boolean) =>
    void change(
      { kind: 'ready', device: device.id, step: step.id, done },
      `${step.title}: ${done ? 'done' : 'not done after all'}.`,
    )
  return (
    <ol className={styles.steps}>
      {device.steps.map((step) => (
        <li key={step.id} data-state={step.state}>
          <div>
            <strong>{step.title}</strong>
            {step.part && <span> (only the {step.part})</span>}
            <p className={styles.stepState}>{stateWords(step)}</p>
            {step.state !== 'seen' && step.state !== 'done' && (
              <dl>
                <dt>Do</dt>
                <dd>{step.how}</dd>
                <dt>Then one sees</dt>
                <dd>{step.see}</dd>
                <dt>If not</dt>
                <dd>{step.if_not}</dd>
                {step.stops && (
                  <>
                    <dt>Until then</dt>
                    <dd>{step.stops}</dd>
                  </>
                )}
                {step.becomes && (
                  <>
                    <dt>After it</dt>
                    <dd>the device is a {step.becomes}</dd>
                  </>
                )}
              </dl>
            )}
          </div>
          {mayChange && step.state === 'open' && (
            <Button disabled={busy} aria-label={`Done: ${step.title}`} onClick={() => mark(step, true)}>
              Done
            </Button>
          )}
          {mayChange && step.state === 'done' && (
            <Button
              disabled={busy}
              aria-label={`Not done after all: ${step.title}`}
              onClick={() => mark(step, false)}
            >
              Not done after all
            </Button>
          )}
        </li>
      ))}
    </ol>
  )
}
