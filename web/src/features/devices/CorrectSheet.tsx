import { Button, Checkbox, Input, Radio } from 'antd'
import { useState } from 'react'
import type { ButtonFacts, Change, Desk, Gesture } from '../../shared/api'
import { useDevices, useFormChange, usePreview } from '../../shared/fitting'
import { Field, FormOf, SideSheet } from '../../shared/ui'
import { WhatChanges, wordOf } from '../assign'
import { ClaimsField, type Claim } from './ClaimsField'
import styles from './kinds.module.css'
import { say } from './sentences'

const GESTURES: Gesture[] = ['tap', 'double_tap', 'triple_tap', 'long_press', 'hold']
/** What a button does by itself is seldom more than this. */
const BY_ITSELF: Gesture[] = ['tap', 'double_tap', 'long_press', 'hold']

/** Puts right what is known of one button of one device: this model, this firmware. */
export function CorrectSheet({ desk, id, onClose }: { desk: Desk; id: string; onClose: () => void }) {
  const devices = useDevices(desk.id).data?.devices ?? []
  const device = devices.find((one) => one.buttons.some((button) => button.ref === id))
  const button = device?.buttons.find((one) => one.ref === id)
  if (!device || !button) return null
  const title = say.putRightOf(`${device.name}, ${button.name}`)
  return (
    <SideSheet title={title} onClose={onClose}>
      <Details key={id} desk={desk} button={button} kind={device.kind_name} onClose={onClose} />
    </SideSheet>
  )
}

function Details(props: { desk: Desk; button: ButtonFacts; kind: string | null; onClose: () => void }) {
  const { desk, button, kind, onClose } = props
  const { change, busy, refused, openedOn, catchUp } = useFormChange()
  const [is, setIs] = useState(button.is)
  const [why, setWhy] = useState(button.why ?? '')
  const [heldBack, setHeldBack] = useState(button.held_back)
  const [does, setDoes] = useState(() => doesOf(button))
  const [gestures, setGestures] = useState(button.gestures)
  const [claims, setClaims] = useState<Claim[]>(() => claimsOf(button))
  const reason = is === 'free' && why === (button.why ?? '') ? button.why : why.trim() || null
  // Only what was said: the rest stays as its kind has it, whatever that comes to be.
  const set = {
    ...(is === button.is && reason === button.why ? {} : { is, why: reason }),
    ...changed('held_back', button.held_back, heldBack),
    ...changed('builtin', doesOf(button), said(does)),
    ...(is === 'fixed' ? {} : changed('gestures', button.gestures, gestures)),
    ...changed('claims', claimsOf(button), claims),
  }
  const whole =
    Object.keys(set).length > 0 &&
    (is === 'free' || why.trim() !== '') &&
    gestures.length > 0 &&
    claims.every(isWhole)
  const made: Change = { kind: 'correct', button: button.ref, set }
  const preview = usePreview(desk.id, whole ? made : undefined, openedOn)
  const onSubmit = async () => {
    if (whole && (await change(made, say.isPutRight(button.name), { tell: true }))) onClose()
  }
  const asItsKind = async () => {
    const back: Change = { kind: 'correct', button: button.ref, set: null }
    if (await change(back, say.isAsItsKind(button.name), { tell: true })) onClose()
  }
  return (
    <FormOf onSubmit={onSubmit} refused={refused}>
      <p>{say.putRightAbout}</p>
      <fieldset className={styles.group}>
        <legend>{say.itself}</legend>
        {(button.kind === 'notch' ? BY_ITSELF.slice(0, 1) : BY_ITSELF).map((gesture) => (
          <Field key={gesture} label={say.byItselfOn(wordOf(gesture))} at={`builtin/${gesture}`}>
            <Input
              maxLength={120}
              value={does[gesture] ?? ''}
              onChange={(event) => setDoes({ ...does, [gesture]: event.target.value })}
            />
          </Field>
        ))}
        <p>{say.emptyIsNothing}</p>
      </fieldset>
      <Field label={say.canItBeHeldBack} at="held_back">
        <Radio.Group
          vertical
          value={heldBack}
          options={[
            { value: true, label: say.heldBackYes },
            { value: false, label: say.heldBackNo },
          ]}
          onChange={(event) => setHeldBack(event.target.value as boolean)}
        />
      </Field>
      <Field label={say.freeForOtherJobs} at="is">
        <Radio.Group
          vertical
          value={is}
          options={(['free', 'needed', 'fixed'] as const).map((value) => ({
            value,
            label: say.isWords[value],
          }))}
          onChange={(event) => setIs(event.target.value as ButtonFacts['is'])}
        />
      </Field>
      {is !== 'free' && (
        <Field label={say.why} at="why">
          <Input required maxLength={120} value={why} onChange={(event) => setWhy(event.target.value)} />
        </Field>
      )}
      {is !== 'fixed' && button.kind !== 'notch' && (
        <Field label={say.gesturesThatWork} at="gestures">
          <Checkbox.Group
            value={gestures}
            options={GESTURES.map((value) => ({ value, label: wordOf(value) }))}
            onChange={setGestures}
          />
        </Field>
      )}
      <ClaimsField claims={claims} onChange={setClaims} />
      {whole && (
        <WhatChanges
          preview={preview.data}
          refusal={preview.error}
          working={preview.working}
          onCatchUp={catchUp}
        />
      )}
      <Button type="primary" htmlType="submit" loading={busy} disabled={!whole || !preview.data}>
        {say.putRight}
      </Button>
      {button.corrected && (
        <Button onClick={() => void asItsKind()}>{kind ? say.asItsKind(kind) : say.nothingKnownAgain}</Button>
      )}
    </FormOf>
  )
}

const isWhole = ({ by, free_by }: Claim) => by.trim() !== '' && free_by.trim() !== ''

const doesOf = ({ builtin }: ButtonFacts): Record<string, string> =>
  Object.fromEntries(builtin.map(({ gesture, words }) => [gesture, words]))

const claimsOf = ({ claims }: ButtonFacts): Claim[] =>
  claims.map(({ gesture, by, free_by, freed }) => ({ gesture, by, free_by, freed }))

/** Without what is left empty. */
const said = (does: Record<string, string>) =>
  Object.fromEntries(Object.entries(does).filter(([, words]) => words.trim() !== ''))

/** A member that is another than before; of lists and objects, what is in them, in any order. */
function changed<Name extends string, Value>(
  name: Name,
  before: unknown,
  now: Value,
): { [name in Name]?: Value } {
  return plain(before) === plain(now) ? {} : ({ [name]: now } as { [name in Name]: Value })
}

const plain = (value: unknown): string =>
  Array.isArray(value)
    ? JSON.stringify(value.map(plain).sort())
    : typeof value === 'object' && value !== null
      ? JSON.stringify(Object.entries(value).sort(([one], [other]) => one.localeCompare(other)))
      : JSON.stringify(value)
