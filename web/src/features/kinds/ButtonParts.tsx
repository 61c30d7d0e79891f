import { Button, Checkbox, Input, InputNumber, Radio, Select } from 'antd'
import { useState } from 'react'
import type { Gesture } from '../../shared/api'
import { Field } from '../../shared/ui'
import { GESTURES, wordOf } from '../assign'
import { ClaimsField } from '../devices'
import { freeId, nextPlace, said, type KindButton, type KindDocument } from './document'
import styles from './kinds.module.css'
import { say } from './sentences'

const ITSELF: Gesture[] = ['tap', 'double_tap', 'long_press', 'hold']

/** The buttons of a kind, each with all that is known of it. */
export function ButtonParts(props: {
  document: KindDocument
  onChange: (members: Partial<KindDocument>) => void
}) {
  const { document, onChange } = props
  const { buttons } = document
  // What the details of are open; a new button's are.
  const [open, setOpen] = useState<string>()
  const put = (id: string, members: Partial<KindButton>) =>
    onChange({ buttons: buttons.map((one) => (one.id === id ? { ...one, ...members } : one)) })
  const add = () => {
    const id = freeId(
      `button-${String(buttons.length + 1)}`,
      buttons.map((one) => one.id),
    )
    const at = nextPlace(document)
    const [, top = 0, , high = 0] = at.rect ?? []
    onChange({
      buttons: [...buttons, { ...PLAIN, id, name: say.button(buttons.length + 1), at }],
      // The drawing grows with it.
      box: [document.box[0], Math.max(document.box[1], top + high + 4)],
    })
    setOpen(id)
  }
  return (
    <fieldset className={styles.part}>
      <legend>{say.buttons}</legend>
      {buttons.map((button, index) => (
        <details
          key={button.id}
          open={open === button.id}
          onToggle={(event) => {
            if (event.currentTarget.open) setOpen(button.id)
          }}
        >
          <summary>
            {button.name} <small>{button.builtin.tap ?? ''}</small>
          </summary>
          <OneButton
            button={button}
            at={`buttons/${String(index)}`}
            onChange={(members) => put(button.id, members)}
          />
          {buttons.length > 1 && (
            <Button
              onClick={() =>
                onChange({
                  buttons: buttons
                    .filter((one) => one.id !== button.id)
                    .map((one) => withoutMirror(one, button.id)),
                })
              }
            >
              {say.removeButtonOf(button.name)}
            </Button>
          )}
        </details>
      ))}
      <Button onClick={add}>{say.addButton}</Button>
    </fieldset>
  )
}

/** A button on the other side that is gone is named no more. */
const withoutMirror = (button: KindButton & { mirror?: string }, id: string) => {
  const { mirror, ...rest } = button
  return mirror === id ? rest : button
}

const PLAIN: Omit<KindButton, 'id' | 'name' | 'at'> & { signals: string[]; counts: string } = {
  kind: 'contact',
  print: '',
  builtin: {},
  held_back: true,
  heard: { browser: [], recording: [], stand_in: true },
  signals: ['press'],
  counts: 'press',
  is: 'free',
  claims: [],
}

interface One {
  button: KindButton
  at: string
  onChange: (members: Partial<KindButton>) => void
}

function OneButton({ button, at, onChange }: One) {
  const rect = button.at.rect
  return (
    <div className={styles.fields}>
      <div className={styles.pair}>
        <Field label={say.buttonName} at={`${at}/name`}>
          <Input
            required
            maxLength={120}
            value={button.name}
            onChange={(event) => onChange({ name: event.target.value })}
          />
        </Field>
        <Field label={say.print} at={`${at}/print`}>
          <Input
            maxLength={120}
            value={button.print}
            onChange={(event) => onChange({ print: event.target.value })}
          />
        </Field>
        <Field label={say.sort} at={`${at}/kind`}>
          <Select
            value={button.kind}
            options={(['contact', 'force', 'notch'] as const).map((value) => ({
              value,
              label: say.sorts[value],
            }))}
            onChange={(kind) => onChange({ kind })}
          />
        </Field>
        <Field label={say.heard} hint={say.heardHint} at={`${at}/heard/browser`}>
          <Input
            value={button.heard.browser.join(', ')}
            onChange={(event) =>
              onChange({
                heard: { ...button.heard, browser: event.target.value.split(/,\s*/).filter(Boolean) },
              })
            }
          />
        </Field>
        {(button.kind === 'notch' ? ITSELF.slice(0, 1) : ITSELF).map((gesture) => (
          <Field key={gesture} label={say.itself(wordOf(gesture))} at={`${at}/builtin/${gesture}`}>
            <Input
              maxLength={120}
              value={button.builtin[gesture] ?? ''}
              onChange={(event) =>
                onChange({ builtin: said({ ...button.builtin, [gesture]: event.target.value }) })
              }
            />
          </Field>
        ))}
      </div>
      <Field label={say.heldBack} at={`${at}/held_back`}>
        <Radio.Group
          vertical
          value={button.held_back}
          options={[
            { value: true, label: say.yes },
            { value: false, label: say.no },
          ]}
          onChange={(event) => onChange({ held_back: event.target.value as boolean })}
        />
      </Field>
      <Field label={say.is} at={`${at}/is`}>
        <Radio.Group
          vertical
          value={button.is}
          options={(['free', 'needed', 'fixed'] as const).map((value) => ({
            value,
            label: say.isWords[value],
          }))}
          onChange={(event) => onChange({ is: event.target.value as KindButton['is'] })}
        />
      </Field>
      {button.is !== 'free' && (
        <Field label={say.why} at={`${at}/why`}>
          <Input
            required
            maxLength={120}
            value={button.why ?? ''}
            onChange={(event) => onChange({ why: event.target.value })}
          />
        </Field>
      )}
      {button.kind !== 'notch' && button.is !== 'fixed' && (
        <Field label={say.gestures} at={`${at}/gestures`}>
          <Checkbox.Group
            value={button.gestures ?? GESTURES.map(({ value }) => value)}
            options={GESTURES.map(({ value, word }) => ({ value, label: word }))}
            onChange={(gestures) => onChange({ gestures })}
          />
        </Field>
      )}
      <ClaimsField
        freeing={false}
        claims={button.claims.map((claim) => ({ ...claim, freed: false }))}
        onChange={(claims) =>
          onChange({ claims: claims.map(({ gesture, by, free_by }) => ({ gesture, by, free_by })) })
        }
      />
      {rect && (
        <Field label={say.drawn} at={`${at}/at`}>
          <Four value={rect} onChange={(next) => onChange({ at: { rect: [...next, rect[4] ?? 6] } })} />
        </Field>
      )}
    </div>
  )
}

/** Four numbers beside each other. */
function Four({
  id,
  value,
  onChange,
}: {
  id?: string
  value: readonly number[]
  onChange: (value: number[]) => void
}) {
  return (
    <span className={styles.four} role="group" aria-label={say.drawn}>
      {value.slice(0, 4).map((number, index) => (
        <InputNumber
          key={index}
          id={index === 0 ? id : undefined}
          aria-label={say.drawnMeasure(say.drawn, index + 1)}
          min={0}
          max={1000}
          value={number}
          onChange={(next) =>
            onChange(value.slice(0, 4).map((one, at) => (at === index ? (next ?? 0) : one)))
          }
        />
      ))}
    </span>
  )
}
