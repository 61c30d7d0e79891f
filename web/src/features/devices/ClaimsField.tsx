import { Button, Checkbox, Input, Select } from 'antd'
import type { ButtonFacts, Gesture } from '../../shared/api'
import { Field } from '../../shared/ui'
import { wordOf } from '../assign'
import styles from './kinds.module.css'
import { say } from './sentences'

/** Who takes a gesture of a button for something else. freed – who freed it; true: now */
export type Claim = Omit<ButtonFacts['claims'][number], 'gesture_name' | 'freed'> & {
  freed: ButtonFacts['claims'][number]['freed'] | boolean
}

const GESTURES: Gesture[] = ['tap', 'double_tap', 'triple_tap', 'long_press', 'hold']

/** What takes gestures of a button, how each is freed, and whether it is; more can be said. */
export function ClaimsField(props: {
  claims: Claim[]
  onChange: (claims: Claim[]) => void
  /** Whether it can be freed here: of a kind, nothing is. */
  freeing?: boolean
}) {
  const { claims, onChange, freeing = true } = props
  const put = (index: number, said: Partial<Claim>) =>
    onChange(claims.map((one, at) => (at === index ? { ...one, ...said } : one)))
  return (
    <>
      {claims.map((claim, index) => (
        // A list without ids: nothing of it moves.
        <fieldset key={index} className={styles.group}>
          <legend>{say.takenBy(String(index + 1))}</legend>
          <Field label={say.whichGesture} at={`claims/${String(index)}/gesture`}>
            <Select
              value={claim.gesture}
              options={GESTURES.map((value) => ({ value, label: wordOf(value) }))}
              onChange={(gesture) => put(index, { gesture })}
            />
          </Field>
          <Field label={say.whoTakesIt} at={`claims/${String(index)}/by`}>
            <Input
              required
              maxLength={120}
              value={claim.by}
              onChange={(event) => put(index, { by: event.target.value })}
            />
          </Field>
          <Field label={say.howItIsFreed} at={`claims/${String(index)}/free_by`}>
            <Input
              required
              maxLength={120}
              value={claim.free_by}
              onChange={(event) => put(index, { free_by: event.target.value })}
            />
          </Field>
          {freeing && (
            <Checkbox
              checked={Boolean(claim.freed)}
              onChange={(event) => put(index, { freed: event.target.checked })}
            >
              {say.itIsFreed}
            </Checkbox>
          )}
          <Button
            aria-label={say.noSuchClaimOf(String(index + 1))}
            onClick={() => onChange(claims.filter((_, at) => at !== index))}
          >
            {say.noSuchClaim}
          </Button>
        </fieldset>
      ))}
      {claims.length < 10 && (
        <Button
          onClick={() => onChange([...claims, { gesture: 'long_press', by: '', free_by: '', freed: false }])}
        >
          {say.somethingTakesIt}
        </Button>
      )}
    </>
  )
}
