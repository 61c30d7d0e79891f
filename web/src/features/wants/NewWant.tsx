import { Button, Input, type InputRef } from 'antd'
import { useRef, useState, type FormEvent } from 'react'
import type { WantFacts } from '../../shared/api'
import { useChange, useFoundActions, useLikeliest, useWholeActions } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import { ActionField, ImportanceField, TimesField, WrongField } from './fields'
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
  const actions = useWholeActions()
  const field = useRef<InputRef>(null)
  const { change, busy } = useChange()
  const found = useFoundActions(given.what)
  const likeliest = useLikeliest()
  const likely = given.what.trim() ? found.actions.find((one) => one.asks.length === 0)?.id : undefined
  const chosen = action ?? likely ?? ''

  const onSubmit = async (event: FormEvent) => {
    event.preventDefault()
    const { what, times, wrong, importance } = given
    const meant = (action === undefined ? await likeliest(what) : actions.find((one) => one.id === action))
      ?.action
    const want = { what: what.trim(), wrong, importance, times_a_day: times, action: meant ?? null }
    if (await change({ kind: 'want', want }, `Written down: ${want.what}.`)) {
      setGiven(EMPTY)
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
      <TimesField
        label="Times a day"
        value={given.times}
        onChange={(times) => setGiven({ ...given, times })}
      />
      <WrongField
        label="A wrong press"
        value={given.wrong}
        onChange={(wrong) => setGiven({ ...given, wrong })}
      />
      <ImportanceField
        label="How important"
        value={given.importance}
        onChange={(importance) => setGiven({ ...given, importance })}
      />
      <ActionField label="Done by the action" value={chosen} onChange={setAction} />
      <Button type="primary" htmlType="submit" loading={busy} disabled={!given.what.trim()}>
        Write it down
      </Button>
    </form>
  )
}
