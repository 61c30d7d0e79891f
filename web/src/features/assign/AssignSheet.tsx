import { Button, Checkbox, Input } from 'antd'
import { useCallback, useEffect, useReducer, useRef, useState } from 'react'
import type { Change, Desk } from '../../shared/api'
import { useFormChange, useFoundActions, useLanes, usePreview, type Spot } from '../../shared/fitting'
import { SideSheet } from '../../shared/ui'
import { Moves } from '../confirm'
import { ActionFacts } from './ActionFacts'
import { ActionList } from './ActionList'
import { AskFields } from './AskFields'
import { assigning, changeOf, nothingYet } from './assigning'
import { Cautions } from './Cautions'
import type { Carried, Chosen } from './chosen'
import { GesturePicker } from './GesturePicker'
import { wordOf } from './gestures'
import { RepeatField } from './RepeatField'
import { StandsThere } from './StandsThere'
import { TapChoice } from './TapChoice'
import { useWantedActions } from './useWantedActions'
import { WhatChanges } from './WhatChanges'
import styles from './assign.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  spot: Spot
  chosen: Chosen
  onClose: () => void
  onCarry: (carried: Carried) => void
}

/** Details of one gesture of one button, or of several: choose an action, see what it changes, put it there. */
export function AssignSheet({ desk, spot, chosen, onClose, onCarry }: Props) {
  const { button, also = [] } = chosen
  const lanes = useLanes(desk.id, spot)
  const { change: save, busy, openedOn, catchUp } = useFormChange()
  const search = useRef<HTMLInputElement>(null)
  const [now, step] = useReducer(assigning, chosen.gesture, nothingYet)
  const [words, setWords] = useState('')
  const { actions, settled } = useFoundActions(words)
  const wanted = useWantedActions(desk.id)
  const [seconds, setSeconds] = useState(desk.confirm_s)
  const { gesture, picked } = now

  const system = desk.hosts.find((host) =>
    host.devices.some((device) => device.buttons.some((one) => one.ref === button.ref)),
  )?.system
  useEffect(() => search.current?.focus(), [])
  // Who types fast is on the way to the list before it is that of these words.
  const hurry = useRef<'take' | 'go'>(undefined)
  const catchUpWith = useCallback(() => {
    if (!settled) return
    const first = words.trim() && actions.find((one) => system === undefined || one.hosts.includes(system))
    if (first && hurry.current === 'take') step({ do: 'pick', action: first })
    if (hurry.current === 'go') document.querySelector<HTMLElement>('input[name="action"]:enabled')?.focus()
    hurry.current = undefined
  }, [settled, actions, words, system])
  useEffect(catchUpWith, [catchUpWith])

  const lane = lanes.data?.lanes.find((one) => one.button.ref === button.ref)
  const chips = lane?.chips ?? []
  const there =
    also.length > 0 ? undefined : chips.find((chip) => chip.gesture === gesture && chip.origin === 'here')
  const shown =
    there ??
    chips.find((chip) => chip.gesture === gesture || (gesture === 'tap' && chip.gesture === 'builtin'))
  const buttons = [button, ...also].map((one) => one.ref)
  const change = changeOf(now, buttons, spot)
  const preview = usePreview(desk.id, change, openedOn)
  const cautions = (lane?.cautions ?? []).filter((one) => one.gesture === null || one.gesture === gesture)
  const barred = also.length === 0 && cautions.some((one) => one.bars)
  // While nothing is chosen the choice of the tap is that of the lane as it is.
  const tapChoice = (change ? preview.data?.buttons[0]?.lane : lane)?.tap_choice
  const moves = change ? (preview.data?.moves ?? []) : []
  // A built-in that can't be held back happens anyway.
  const untouched = cautions.some((one) => one.kind === 'not_held_back')
    ? undefined
    : chips.find((chip) => chip.gesture === 'builtin')
  const title = also.length > 0 ? say.buttons(String(buttons.length)) : button.full_name

  const commit = async (made: Change, said: string) => {
    const confirmS = moves.some((move) => move.now.length > 0) ? seconds : undefined
    if (await save(made, `${title}, ${wordOf(gesture)}: ${said}.`, { confirmS })) onClose()
  }

  return (
    <SideSheet title={`${title}, ${wordOf(gesture)}`} dense onClose={onClose}>
      <div className={styles.about} role="group" aria-label={say.whatIsAssigned}>
        <p className={styles.now}>
          {also.length > 0
            ? [button, ...also].map((one) => one.name).join(', ')
            : shown
              ? there?.off
                ? say.nowOff(shown.name)
                : say.nowOn(shown.name)
              : say.nowNothingYet}
        </p>
        {there && (
          <StandsThere
            chip={there}
            onClear={() => void commit({ kind: 'clear', button: button.ref, gesture, ...spot }, say.takenOff)}
            onSwitch={() =>
              void commit(
                { kind: 'switch', button: button.ref, gesture, ...spot, off: !there.off },
                there.off ? say.switched : say.switchedOff,
              )
            }
            onCarry={(copy) => onCarry({ button, gesture, name: there.name, copy })}
          />
        )}
        <GesturePicker gesture={gesture} onGesture={(next) => step({ do: 'gesture', gesture: next })} />
      </div>
      <Cautions cautions={also.length > 0 ? [] : cautions} />
      <label className={styles.search} htmlFor="find-action">
        {say.findAction}
      </label>
      <Input
        id="find-action"
        ref={(input) => {
          search.current = input?.input ?? null
        }}
        value={words}
        placeholder={say.answerPhoneThenEnter}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            event.preventDefault()
            hurry.current = 'take'
            catchUpWith()
          } else if (event.key === 'Tab' && !event.shiftKey && !settled) {
            event.preventDefault()
            hurry.current = 'go'
          }
        }}
        onChange={(event) => setWords(event.target.value)}
      />
      <ActionList
        actions={actions}
        wanted={wanted}
        settled={settled}
        system={system}
        picked={picked}
        onPick={(action) => step({ do: 'pick', action })}
        words={words}
      />
      {picked && (
        <>
          <AskFields
            key={picked.id}
            asks={picked.asks}
            answers={now.answers}
            onAnswer={(member, value) => step({ do: 'answer', member, value })}
            onInstead={(action) => step({ do: 'pick', action })}
          />
          {picked.repeats && (gesture === 'hold' || gesture === 'long_press') && (
            <RepeatField value={now.repeat} onChange={(repeat) => step({ do: 'repeat', repeat })} />
          )}
          {untouched && gesture !== 'tap' && (
            <Checkbox
              checked={now.keep}
              onChange={(event) => step({ do: 'keep', keep: event.target.checked })}
            >
              {say.tapKeepsWhatDoes(untouched.name)}
            </Checkbox>
          )}
          <ActionFacts action={picked} system={system} />
        </>
      )}
      {tapChoice && gesture !== 'long_press' && gesture !== 'hold' && (
        <TapChoice choice={tapChoice} onChoose={(atOnce) => step({ do: 'at-once', atOnce })} />
      )}
      {change && (
        <WhatChanges
          preview={preview.data}
          refusal={preview.error}
          working={preview.working}
          onCatchUp={catchUp}
        />
      )}
      <Moves moves={moves} seconds={seconds} onSeconds={setSeconds} />
      <div className={styles.foot}>
        <Button
          type="primary"
          block
          disabled={!change || !preview.data || barred || busy}
          onClick={() => {
            if (change) void commit(change, picked?.name ?? (now.atOnce ? say.actsOnce : 'waits'))
          }}
        >
          {primaryWords(picked !== undefined, now.atOnce, change, gesture, buttons.length)}
        </Button>
      </div>
    </SideSheet>
  )
}

function primaryWords(
  picked: boolean,
  atOnce: boolean | undefined,
  change: Change | undefined,
  gesture: Chosen['gesture'],
  buttons: number,
): string {
  if (!picked) {
    if (!change) return say.chooseActionFirst
    return atOnce ? say.letTapActOnce : say.letTapWait
  }
  if (!change) return say.sayRestFirst
  const word = wordOf(gesture)
  return buttons > 1 ? say.putOnSeveral(word, String(buttons)) : say.putOn(word)
}
