import { Button } from 'antd'
import { useRef, useState } from 'react'
import type { CatalogueAction, WantFacts } from '../../shared/api'
import { useChange, useFoundActions, useLikeliest } from '../../shared/fitting'
import { PlainInput } from '../../shared/plain'
import { Field, FormOf } from '../../shared/ui'
import { ActionField, choose, meant, type ActionChoice } from '../assign'
import { ImportanceField, TimesField, WrongField } from './fields'
import styles from './wants.module.css'
import { say } from './sentences'

/** What asks something is not guessed. */
const asksNothing = (one: CatalogueAction) => one.asks.length === 0

const EMPTY = {
  what: '',
  times: null as number | null,
  wrong: 'nuisance' as WantFacts['wrong'],
  importance: 'should' as WantFacts['importance'],
}

/** One line to fill in while talking: Enter writes the want down and the line is free again. */
export function NewWant() {
  const [given, setGiven] = useState(EMPTY)
  const [chosen, setChosen] = useState<ActionChoice>()
  const field = useRef<HTMLInputElement>(null)
  const { change, refused } = useChange()
  const found = useFoundActions(given.what)
  const likeliest = useLikeliest()
  const likely = given.what.trim() ? found.actions.find((one) => one.asks.length === 0) : undefined
  const choice = chosen ?? choose(likely)
  const whole = meant(choice) !== undefined

  const onSubmit = async () => {
    if (!whole) return
    const { what, times, wrong, importance } = given
    // The line is free before it is saved: who types on writes the next one.
    setGiven(EMPTY)
    setChosen(undefined)
    field.current?.focus()
    const action = chosen
      ? meant(chosen)
      : (await likeliest(what, asksNothing).catch(() => undefined))?.action
    const want = { what: what.trim(), wrong, importance, times_a_day: times, action: action ?? null }
    if (await change({ kind: 'want', want }, say.writtenDown(want.what))) return
    // Unless something else stands there by now: what was refused is kept by the desk too.
    setGiven((now) => (now.what === '' ? given : now))
    setChosen((now) => now ?? chosen)
  }
  return (
    <FormOf className={styles.new} aria-label={say.newWant} onSubmit={onSubmit} refused={refused}>
      <Field label={say.whatDoTheyWant} at="what">
        <PlainInput
          ref={field}
          required
          maxLength={120}
          value={given.what}
          onChange={(event) => setGiven({ ...given, what: event.target.value })}
        />
      </Field>
      <TimesField
        label={say.timesDay}
        value={given.times}
        onChange={(times) => setGiven({ ...given, times })}
      />
      <WrongField
        label={say.wrongPress}
        value={given.wrong}
        onChange={(wrong) => setGiven({ ...given, wrong })}
      />
      <ImportanceField
        label={say.howImportant}
        value={given.importance}
        onChange={(importance) => setGiven({ ...given, importance })}
      />
      <ActionField label={say.doneAction} value={choice} onChange={setChosen} />
      <Button type="primary" htmlType="submit" disabled={!given.what.trim() || !whole}>
        {whole ? say.writeDown : say.sayRestFirst}
      </Button>
    </FormOf>
  )
}
