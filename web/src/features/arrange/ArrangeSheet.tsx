import { Button, Radio, Select } from 'antd'
import { useState } from 'react'
import type { ButtonFacts, Change, Desk, Device } from '../../shared/api'
import { useArrangements, useFormChange, useDevices, usePreview } from '../../shared/fitting'
import { Field, SideSheet } from '../../shared/ui'
import { ActionField, choose, meant, WhatChanges, type ActionChoice } from '../assign'
import { Moves } from '../confirm'
import { OwnOnes } from './OwnOnes'
import styles from './arrange.module.css'
import { say } from './sentences'

type Arrangement = NonNullable<ReturnType<typeof useArrangements>['data']>[number]
interface Answers {
  button: string | undefined
  double_tap: ActionChoice
  long_press: ActionChoice
}

const ASKED = { double_tap: say.twicePressedDoes, long_press: say.heldDoes }
const NO_ANSWERS: Answers = {
  button: undefined,
  double_tap: choose(undefined),
  long_press: choose(undefined),
}

/** Several assignments at once: ready-made, or the client's own; shown as a difference before they are put on. */
export function ArrangeSheet(props: { desk: Desk; onPointer: () => void; onClose: () => void }) {
  const { desk, onPointer, onClose } = props
  const arrangements = useArrangements(desk.id)
  const devices = desk.hosts.flatMap((host) => host.devices)
  const [id, setId] = useState<string>()
  const chosen = arrangements.data?.find((one) => one.id === id)
  return (
    <SideSheet title={say.arrangements} onClose={onClose}>
      <Button onClick={onPointer}>{say.pointerByButtons}</Button>
      {arrangements.error && <p role="alert">{arrangements.error.message}</p>}
      <Radio.Group
        aria-label={say.arrangement}
        className={styles.list}
        value={id}
        onChange={(event) => setId(event.target.value as string)}
        options={(arrangements.data ?? []).map((one) => ({
          value: one.id,
          label: labelOf(one, desk.name),
          disabled: one.devices.length === 0,
        }))}
      />
      {chosen && (
        <PutOn
          key={chosen.id}
          desk={desk}
          chosen={chosen}
          devices={devices.filter((device) => chosen.devices.includes(device.id))}
          onClose={onClose}
        />
      )}
      <OwnOnes devices={devices} chosen={chosen?.own ? chosen : undefined} onGone={() => setId(undefined)} />
    </SideSheet>
  )
}

function labelOf(one: Arrangement, client: string): string {
  if (one.devices.length === 0) return say.noDeviceForHere(one.name)
  return one.own ? say.sOwn(one.name, client) : one.name
}

function PutOn(props: { desk: Desk; chosen: Arrangement; devices: Device[]; onClose: () => void }) {
  const { desk, chosen, devices, onClose } = props
  const [device, setDevice] = useState(devices[0]?.id ?? '')
  const [answers, setAnswers] = useState(NO_ANSWERS)
  const [seconds, setSeconds] = useState(desk.confirm_s)
  const buttons = useDevices(desk.id).data?.devices.find((one) => one.id === device)?.buttons ?? []
  const { change: save, busy, openedOn, catchUp } = useFormChange()
  const on = devices.find((one) => one.id === device)
  const change = changeFor(chosen, device, answers)
  const preview = usePreview(desk.id, change, openedOn)
  const moves = preview.data?.moves ?? []
  const left = preview.data?.left_out ?? []
  const put = async () => {
    const confirmS = moves.some((move) => move.now.length > 0) ? seconds : undefined
    if (change && (await save(change, say.on(chosen.name, on?.name ?? ''), { confirmS }))) onClose()
  }
  return (
    <>
      {chosen.good_for && <p>{chosen.good_for}</p>}
      {chosen.costs && (
        <p>
          <strong>{say.costs}</strong> {chosen.costs}
        </p>
      )}
      <Field label={say.whichDevice}>
        <Select
          value={device}
          onChange={(next: string) => {
            setDevice(next)
            setAnswers({ ...answers, button: undefined })
          }}
          options={devices.map((one) => ({ value: one.id, label: one.name }))}
        />
      </Field>
      {chosen.asks.map((ask) =>
        ask === 'button' ? (
          <Field key={ask} label={say.whichButton}>
            <Select
              showSearch
              optionFilterProp="label"
              value={answers.button ?? null}
              onChange={(button: string) => setAnswers({ ...answers, button })}
              options={spareFirst(buttons)}
            />
          </Field>
        ) : (
          <ActionField
            key={ask}
            label={ASKED[ask]}
            value={answers[ask]}
            onChange={(next) => setAnswers({ ...answers, [ask]: next })}
          />
        ),
      )}
      {change && (
        <>
          {preview.data && (
            <section aria-label={say.whatDiffers} className={styles.words}>
              <h3>{say.whatDiffers}</h3>
              {preview.data.words.length === 0 && <p>{say.nothingSoAlready}</p>}
              <ul>
                {preview.data.words.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
              {left.length > 0 && (
                <>
                  <h3>{say.whatDoesNotFit}</h3>
                  <ul>
                    {left.map((words) => (
                      <li key={words}>{words}</li>
                    ))}
                  </ul>
                </>
              )}
              {preview.data.notes.map((note) => (
                <p key={note} className={styles.note}>
                  {note}
                </p>
              ))}
            </section>
          )}
          <WhatChanges
            preview={preview.data}
            refusal={preview.error}
            working={preview.working}
            besides={false}
            onCatchUp={catchUp}
          />
          <Moves moves={moves} seconds={seconds} onSeconds={setSeconds} />
        </>
      )}
      <Button
        type="primary"
        disabled={!change || !preview.data || preview.data.words.length === 0 || busy}
        onClick={() => void put()}
      >
        {change ? say.put(on?.name ?? '') : say.sayRestFirst}
      </Button>
    </>
  )
}

/** The buttons of a device to choose from: those with nothing to do yet go first, fixed ones not at all. */
function spareFirst(buttons: ButtonFacts[]) {
  const spare = (one: ButtonFacts) => !one.assigned && one.is === 'free'
  return [...buttons]
    .filter((one) => one.is !== 'fixed')
    .sort((one, other) => Number(spare(other)) - Number(spare(one)))
    .map((one) => ({
      value: one.ref.split('/')[1],
      label: spare(one) ? say.nothingYet(one.name) : one.name,
    }))
}

/** The change, once all that it asks is said. */
function changeFor({ id, asks }: Arrangement, device: string, answers: Answers): Change | undefined {
  const said = asks.map((ask) => [ask, ask === 'button' ? answers.button : meant(answers[ask])] as const)
  if (!device || said.some(([, answer]) => answer === undefined || answer === null)) return undefined
  return { kind: 'arrange', arrangement: id, device, answers: Object.fromEntries(said) as object }
}
