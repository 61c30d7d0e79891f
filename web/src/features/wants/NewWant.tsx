import { Button, Input, InputNumber, Select, type InputRef } from 'antd'
import { useRef, useState, type FormEvent } from 'react'
import type { WantFacts } from '../../shared/api'
import { useActions, useChange } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import { matching } from '../assign'
import { IMPORTANCE, WRONG } from './words'
import styles from './wants.module.css'

const EMPTY = {
  what: '',
  times: null as number | null,
  wrong: 'nuisance' as WantFacts['wrong'],
  importance: 'should' as WantFacts['importance'],
}

/** One line to fill in while talking: Enter writes the want down and the line is free again. */
export function NewWant({ client }: { client: string }) {
  const [given, setGiven] = useState(EMPTY)
  const [action, setAction] = useState<string>()
  const actions = useActions()
  const field = useRef<InputRef>(null)
  const { change, busy } = useChange()
  const likely = given.what.trim() ? matching(actions.data ?? [], given.what)[0]?.id : undefined
  const chosen = action ?? likely ?? ''

  const onSubmit = async (event: FormEvent) => {
    event.preventDefault()
    const { what, times, wrong, importance } = given
    const meant = actions.data?.find((one) => one.id === chosen)?.action
    const want = { what: what.trim(), wrong, importance, times_a_day: times, action: meant ?? null }
    if (await change({ kind: 'want', want }, `Written down: ${want.what}.`)) {
      setGiven({ ...EMPTY, wrong: 'nuisance' })
      setAction(undefined)
      field.current?.focus()
    }
  }
  return (
    <form
      className={styles.new}
      aria-label="A new want"
      data-client={client}
      onSubmit={(event) => void onSubmit(event)}
    >
      <Field label="What do they want to do?">
        <Input
          ref={field}
          required
          maxLength={120}
          value={given.what}
          onChange={(event) => setGiven({ ...given, what: event.target.value })}
        />
      </Field>
      <Field label="Times a day">
        <InputNumber
          min={0}
          max={1000}
          precision={0}
          value={given.times}
          onChange={(times) => setGiven({ ...given, times })}
        />
      </Field>
      <Field label="A wrong press">
        <Select
          value={given.wrong}
          options={WRONG}
          onChange={(wrong: WantFacts['wrong']) => setGiven({ ...given, wrong })}
        />
      </Field>
      <Field label="It">
        <Select
          value={given.importance}
          options={IMPORTANCE}
          onChange={(importance: WantFacts['importance']) => setGiven({ ...given, importance })}
        />
      </Field>
      <Field label="Done by the action">
        <Select
          showSearch
          optionFilterProp="label"
          value={chosen}
          onChange={setAction}
          options={[
            { value: '', label: 'not known yet' },
            ...(actions.data ?? []).map((one) => ({ value: one.id, label: one.name })),
          ]}
        />
      </Field>
      <Button type="primary" htmlType="submit" loading={busy} disabled={!given.what.trim()}>
        Write it down
      </Button>
    </form>
  )
}
