import { Button, Input } from 'antd'
import { Field } from '../../shared/ui'
import { freeId, type ReadyStep } from './document'
import styles from './kinds.module.css'
import { say } from './sentences'

const FIELDS = [
  ['title', say.title],
  ['how', say.how],
  ['see', say.see],
  ['if_not', say.ifNot],
] as const

/** What has to be done before a device of the kind can be fitted. */
export function ReadyParts({
  steps,
  onChange,
}: {
  steps: ReadyStep[]
  onChange: (steps: ReadyStep[]) => void
}) {
  const put = (index: number, members: Partial<ReadyStep>) =>
    onChange(steps.map((one, at) => (at === index ? { ...one, ...members } : one)))
  const remove = ({ id }: ReadyStep) =>
    onChange(
      steps
        .filter((one) => one.id !== id)
        .map((one) => ({ ...one, needs: one.needs.filter((needed) => needed !== id) })),
    )
  const add = () => {
    const id = freeId(
      `step-${String(steps.length + 1)}`,
      steps.map((one) => one.id),
    )
    onChange([...steps, { id, title: '', how: '', see: '', if_not: '', needs: [] }])
  }
  return (
    <fieldset className={styles.part}>
      <legend>{say.ready}</legend>
      {steps.map((step, index) => (
        <details key={step.id} open={step.title === '' || undefined}>
          <summary>{step.title || say.stepOf(index + 1)}</summary>
          <div className={styles.fields}>
            {FIELDS.map(([member, label]) => (
              <Field key={member} label={label} at={`ready/${String(index)}/${member}`}>
                <Input
                  required
                  maxLength={member === 'title' ? 120 : 500}
                  value={step[member]}
                  onChange={(event) => put(index, { [member]: event.target.value })}
                />
              </Field>
            ))}
          </div>
          <Button onClick={() => remove(step)}>{say.removeStepOf(index + 1)}</Button>
        </details>
      ))}
      <Button onClick={add}>{say.addStep}</Button>
    </fieldset>
  )
}
