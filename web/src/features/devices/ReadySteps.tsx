import { OF_PEOPLE } from '../../shared/text'
import { Button } from 'antd'
import type { DeviceFacts, Step } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import styles from './steps.module.css'
import { say } from './sentences'

const WHEN = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium', timeStyle: 'short' })

function stateWords(step: Step): string {
  const when = step.at ? WHEN.format(new Date(step.at)) : ''
  if (step.state === 'seen') return say.heardKippenItself(when)
  if (step.state === 'done') return say.tickedOff(step.by ?? 'somebody', when)
  if (step.state === 'later') return say.laterFirst(step.needs.join(', '))
  if (step.changed_from) return say.doAgainWasDone(step.changed_from)
  return step.can_see ? say.doKippenSeesItself : say.doTickedOffHand
}

/** The next step that can be ticked off, of this device or one further on. */
function nextToDo(row: Element) {
  return [...document.querySelectorAll<HTMLElement>('[data-to-do]')].find(
    (one) =>
      (row.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0 && one.checkVisibility(),
  )
}

/** The steps of getting a device ready, in their order. */
export function ReadySteps({ device }: { device: DeviceFacts }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  const mark = async (step: Step, done: boolean, row: Element | null) => {
    const saved = await change(
      { kind: 'ready', device: device.id, step: step.id, done },
      done ? say.stepDone(step.title) : say.stepNotDone(step.title),
    )
    // Once what was saved is drawn.
    if (saved && done && row) requestAnimationFrame(() => nextToDo(row)?.focus())
  }
  return (
    <ol className={styles.steps}>
      {device.steps.map((step) => (
        <li key={step.id} data-state={step.state}>
          <div>
            <strong>{step.title}</strong>
            {step.part && <span> {say.only(step.part)}</span>}
            <p className={styles.stepState}>{stateWords(step)}</p>
            {step.state !== 'seen' && step.state !== 'done' && (
              <dl>
                <dt>{say.do}</dt>
                <dd>{step.how}</dd>
                <dt>{say.thenOneSees}</dt>
                <dd>{step.see}</dd>
                <dt>{say.ifNot}</dt>
                <dd>{step.if_not}</dd>
                {step.stops && (
                  <>
                    <dt>{say.untilThen}</dt>
                    <dd>{step.stops}</dd>
                  </>
                )}
                {step.becomes && (
                  <>
                    <dt>{say.after}</dt>
                    <dd>{say.device(step.becomes)}</dd>
                  </>
                )}
              </dl>
            )}
          </div>
          {mayChange && step.state === 'open' && (
            <Button
              disabled={busy}
              aria-label={say.doneWithTitle(step.title)}
              data-to-do
              onClick={({ currentTarget }) => void mark(step, true, currentTarget.closest('li'))}
            >
              {say.done}
            </Button>
          )}
          {mayChange && step.state === 'done' && (
            <Button
              disabled={busy}
              aria-label={say.notDoneAfterAllWithTitle(step.title)}
              onClick={() => void mark(step, false, null)}
            >
              {say.notDoneAfterAllAlone}
            </Button>
          )}
        </li>
      ))}
    </ol>
  )
}
