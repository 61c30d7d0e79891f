import { Button, Checkbox, Input } from 'antd'
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react'
import type { Action, Button as ButtonData, CatalogueAction, Change, Desk, Gesture } from '../../shared/api'
import {
  useActions,
  useFormChange,
  useFoundActions,
  useLanes,
  usePreview,
  type Spot,
} from '../../shared/fitting'
import { SideSheet } from '../../shared/ui'
import { Moves } from '../confirm'
import { ActionFacts } from './ActionFacts'
import { choiceOf } from './actionChoice'
import { ActionList } from './ActionList'
import { AskFields } from './AskFields'
import { assigning, changeOf, nothingYet } from './assigning'
import { Cautions } from './Cautions'
import type { Chosen } from './chosen'
import { GesturePicker } from './GesturePicker'
import { useBefore, useKeptUnlessDone } from './leftOver'
import { wordOf } from './gestures'
import { RepeatField } from './RepeatField'
import { StandsThere } from './StandsThere'
import { StepsTold } from './StepsTold'
import { TapChoice } from './TapChoice'
import { useWantedActions } from './useWantedActions'
import { WhatChanges } from './WhatChanges'
import styles from './assign.module.css'
import actionsStyles from './actions.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  spot: Spot
  chosen: Chosen
  onClose: () => void
  onCarry: (gesture: Gesture, copy: boolean) => void
}

const NO_OTHERS: ButtonData[] = []

/** Details of one gesture of one button, or of several: choose an action, see what it changes, put it there. */
export function AssignSheet({ desk, spot, chosen, onClose, onCarry }: Props) {
  const { button, also = NO_OTHERS } = chosen
  const lanes = useLanes(desk.id, spot)
  const { change: save, busy, openedOn, catchUp } = useFormChange()
  const search = useRef<HTMLInputElement>(null)
  const buttons = useMemo(() => [button, ...also].map((one) => one.ref), [button, also])
  const before = useBefore(desk.id, buttons, spot)
  const [now, step] = useReducer(assigning, before?.now ?? nothingYet(chosen.gesture))
  const [words, setWords] = useState(before?.words ?? '')
  const { actions, settled } = useFoundActions(words)
  const wanted = useWantedActions(desk.id)
  const all = useActions()
  const [seconds, setSeconds] = useState(desk.confirm_s)
  const { gesture, picked } = now

  const system = desk.hosts.find((host) =>
    host.devices.some((device) => device.buttons.some((one) => one.ref === button.ref)),
  )?.system
  useEffect(() => search.current?.focus(), [])
  // Who types fast is on the way to the list before it is that of these words.
  const hurry = useRef<'take' | 'take-and-put' | 'go' | 'put'>(undefined)
  // The words for which Enter has chosen: a second Enter puts on what was chosen.
  const [taken, setTaken] = useState<string>()
  const catchUpWith = useCallback(() => {
    if (!settled) return
    const first = words.trim() && actions.find((one) => system === undefined || one.hosts.includes(system))
    const { current } = hurry
    if (current === 'put') return
    hurry.current = undefined
    if (first && (current === 'take' || current === 'take-and-put')) {
      step({ do: 'pick', action: first })
      setTaken(words)
      if (current === 'take-and-put') hurry.current = 'put'
    }
    if (current === 'go') document.querySelector<HTMLElement>('input[name="action"]:enabled')?.focus()
  }, [settled, actions, words, system])
  useEffect(catchUpWith, [catchUpWith])

  /** Steps that stand there already are changed, not said again. */
  const pick = (action: CatalogueAction) =>
    step({
      do: 'pick',
      action,
      ...(there?.steps &&
        action.id === 'steps' && { answers: choiceOf(there.action as unknown as Action, all).answers }),
    })
  const lane = lanes.data?.lanes.find((one) => one.button.ref === button.ref)
  const chips = lane?.chips ?? []
  const there =
    also.length > 0 ? undefined : chips.find((chip) => chip.gesture === gesture && chip.origin === 'here')
  const shown =
    there ??
    chips.find((chip) => chip.gesture === gesture || (gesture === 'tap' && chip.gesture === 'builtin'))
  const change = changeOf(now, buttons, spot)
  const preview = usePreview(desk.id, change, openedOn)
  const cautions = (lane?.cautions ?? []).filter(
    (one) => one.where.gesture === undefined || one.where.gesture === gesture,
  )
  const barred = also.length === 0 && cautions.some((one) => one.bad === 'bars')
  // While nothing is chosen the choice of the tap is that of the lane as it is.
  const tapChoice = (change ? preview.data?.buttons[0]?.lane : lane)?.tap_choice
  const steps = picked
    ? preview.data?.buttons[0]?.lane.chips.find((chip) => change && chip.gesture === gesture)?.steps
    : there?.steps
  const moves = change ? (preview.data?.moves ?? []) : []
  // A built-in that can't be held back happens anyway.
  const untouched = cautions.some((one) => one.id === 'not_held_back')
    ? undefined
    : chips.find((chip) => chip.gesture === 'builtin')
  const title = also.length > 0 ? say.buttons(String(buttons.length)) : button.full_name

  const done = useKeptUnlessDone(desk.id, {
    buttons,
    spot,
    title: `${title}, ${wordOf(gesture)}`,
    now,
    words,
    change,
    openedOn,
  })
  const commit = async (made: Change, said: string) => {
    const confirmS = moves.some((move) => move.now.length > 0) ? seconds : undefined
    if (await save(made, `${title}, ${wordOf(gesture)}: ${said}.`, { confirmS })) {
      done()
      onClose()
    }
  }

  const ready = change !== undefined && preview.data !== undefined && !barred && !busy
  const put = () => {
    if (change) void commit(change, picked?.name ?? (now.atOnce ? say.actsOnce : 'waits'))
  }
  // What it changes is asked for first; whoever was quicker has it put on as soon as that is known, or says the rest.
  const putIfReady = () => {
    if (hurry.current !== 'put' || !picked || (change && (!ready || preview.working))) return
    hurry.current = undefined
    if (change) put()
    else document.querySelector<HTMLElement>('[data-asks] input, [data-asks] button')?.focus()
  }
  useEffect(putIfReady)

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
            onCarry={(copy) => onCarry(gesture, copy)}
          />
        )}
        <GesturePicker gesture={gesture} onGesture={(next) => step({ do: 'gesture', gesture: next })} />
      </div>
      <Cautions cautions={also.length > 0 ? [] : cautions} />
      <div className={actionsStyles.search}>
        <label htmlFor="find-action">{say.findAction}</label>{' '}
        <small id="find-enter">{say.enterChooses}</small>
      </div>
      <Input
        id="find-action"
        aria-describedby="find-enter"
        ref={(input) => {
          search.current = input?.input ?? null
        }}
        value={words}
        placeholder={say.answerPhoneThenEnter}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            event.preventDefault()
            if (event.repeat) return
            if (picked && taken === words && words) {
              hurry.current = 'put'
              putIfReady()
            } else {
              hurry.current = hurry.current === 'take' ? 'take-and-put' : 'take'
              catchUpWith()
            }
          } else if (event.key === 'Tab' && !event.shiftKey && !settled) {
            event.preventDefault()
            hurry.current = 'go'
          }
        }}
        onChange={(event) => {
          setWords(event.target.value)
          hurry.current = undefined
        }}
      />
      <ActionList
        actions={actions}
        wanted={wanted}
        settled={settled}
        system={system}
        picked={picked}
        onPick={pick}
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
            system={system}
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
          {picked.id !== 'steps' && <ActionFacts action={picked} system={system} />}
        </>
      )}
      {tapChoice && gesture !== 'long_press' && gesture !== 'hold' && (
        <TapChoice choice={tapChoice} onChoose={(atOnce) => step({ do: 'at-once', atOnce })} />
      )}
      {steps && <StepsTold steps={steps} />}
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
        <Button type="primary" block disabled={!ready} onClick={put}>
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
