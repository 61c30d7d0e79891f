import { Button } from 'antd'
import type { DeviceFacts, Step } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { useBench } from '../bench'
import styles from './row.module.css'
import { say } from './sentences'

const isToDo = ({ state }: Step) => state === 'open'

/** What must be got ready is first: the next thing to do, and what does it. */
export function NextStep({ devices }: { devices: DeviceFacts[] }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  const { mode, bindings, buttons, loading, start, bind } = useBench(
    'mode',
    'bindings',
    'buttons',
    'loading',
    'start',
    'bind',
  )
  const waiting = devices.filter((device) => !device.off && device.steps.some(isToDo))
  const device = waiting[0]
  const step = device?.steps.find(isToDo)
  if (!mayChange || !device || !step) return null
  const toDo = waiting.reduce((sum, one) => sum + one.steps.filter(isToDo).length, 0)
  const own = buttons.filter(({ ref }) => ref.startsWith(`${device.id}/`))
  const known = own.some(({ ref }) => [...bindings.values()].includes(ref))
  const listen = () => (known ? start() : bind(own))
  return (
    <section className={styles.next} aria-label={say.nextStep}>
      <div>
        <h3>{say.nextStepOf(device.name, step.title)}</h3>
        <p>
          {step.how} {say.stepsInAll(toDo)}
        </p>
      </div>
      {step.can_see ? (
        mode.kind === 'off' &&
        own.length > 0 && (
          <Button type="primary" disabled={loading} onClick={listen}>
            {known ? say.listen : say.teachIt}
          </Button>
        )
      ) : (
        <Button
          type="primary"
          disabled={busy}
          onClick={() =>
            void change(
              { kind: 'ready', device: device.id, step: step.id, done: true },
              say.stepDone(step.title),
            )
          }
        >
          {say.itIsDone}
        </Button>
      )}
    </section>
  )
}
