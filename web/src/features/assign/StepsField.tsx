import { Button, InputNumber } from 'antd'
import { useRef } from 'react'
import type { Ask, Host } from '../../shared/api'
import { Field } from '../../shared/ui'
import { ActionField } from './ActionField'
import { choose, type StepChoice } from './actionChoice'
import styles from './assign.module.css'
import { say } from './sentences'

type Limits = NonNullable<Ask['hosts']>[number]

interface Props {
  ask: Ask
  /** The host they are for; undefined: any. */
  system: Host['system'] | undefined
  value: StepChoice[]
  onChange: (value: StepChoice[]) => void
}

/** Several steps by one press, in order, with the pause before each. */
export function StepsField({ ask, system, value, onChange }: Props) {
  const limits = ask.hosts?.find((one) => one.system === system) ?? ask.hosts?.[0]
  const list = useRef<HTMLOListElement>(null)
  const from = limits?.from_ms ?? 0
  const fresh = (): StepChoice => ({ choice: choose(undefined), pauseMs: from })
  const steps = value.length > 0 ? value : [fresh(), fresh()]
  const most = limits?.most ?? ask.to ?? 8
  const set = (index: number, step: Partial<StepChoice>) =>
    onChange(steps.map((one, at) => (at === index ? { ...one, ...step } : one)))
  /** The pause stays where it is in the row: what moves is what is done. */
  const swap = (index: number, other: number) =>
    onChange(
      steps.map((one, at) => ({
        ...one,
        choice: steps[at === index ? other : at === other ? index : at]?.choice ?? one.choice,
      })),
    )
  const add = () => {
    onChange([...steps, fresh()])
    requestAnimationFrame(() => list.current?.lastElementChild?.querySelector('input')?.focus())
  }
  return (
    <fieldset className={styles.steps}>
      <legend>{ask.label}</legend>
      <ol ref={list}>
        {steps.map((step, index) => (
          <li key={index}>
            {index > 0 && (
              <Pause limits={limits} value={step.pauseMs} onChange={(pauseMs) => set(index, { pauseMs })} />
            )}
            <ActionField
              label={say.step(index + 1)}
              value={step.choice}
              onChange={(choice) => set(index, { choice })}
              system={system}
              single
            />
            <div className={styles.stepButtons} role="group" aria-label={say.step(index + 1)}>
              {index > 0 && (
                <Button aria-label={say.stepEarlier(index + 1)} onClick={() => swap(index, index - 1)}>
                  {say.earlier}
                </Button>
              )}
              {steps.length > 2 && (
                <Button
                  aria-label={say.stepOut(index + 1)}
                  onClick={() => onChange(steps.filter((_, at) => at !== index))}
                >
                  {say.takeOut}
                </Button>
              )}
            </div>
          </li>
        ))}
      </ol>
      {steps.length < most ? (
        <Button onClick={add}>{say.addStep}</Button>
      ) : (
        <p className={styles.none}>{say.noMoreSteps(most)}</p>
      )}
    </fieldset>
  )
}

/** In seconds, as people say it. */
function Pause(props: { limits: Limits | undefined; value: number; onChange: (ms: number) => void }) {
  const { limits, value, onChange } = props
  return (
    <div className={styles.pause}>
      {' '}
      <Field label={say.pauseBefore}>
        <InputNumber
          min={(limits?.from_ms ?? 0) / 1000}
          max={(limits?.to_ms ?? 60000) / 1000}
          step={Math.max(limits?.step_ms ?? 50, 100) / 1000}
          value={value / 1000}
          onChange={(seconds) => onChange(Math.round((seconds ?? 0) * 1000))}
        />
      </Field>
    </div>
  )
}
