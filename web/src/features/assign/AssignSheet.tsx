import { Button, Input } from 'antd'
import { useEffect, useRef, useState } from 'react'
import type { ButtonChange, CatalogueAction, Desk, Gesture } from '../../shared/api'
import { useActions, useLanes, usePreview, useSaving, type Spot } from '../../shared/fitting'
import { GestureMark, useAnnounce, useEscape } from '../../shared/ui'
import type { Chosen } from './chosen'
import { Cautions, useFacts } from './Cautions'
import { matching } from './search'
import { WhatChanges } from './WhatChanges'
import styles from './assign.module.css'

const GESTURES: { value: Gesture; word: string; short: string }[] = [
  { value: 'tap', word: 'tap', short: 'tap' },
  { value: 'double_tap', word: 'double-tap', short: 'double' },
  { value: 'triple_tap', word: 'triple-tap', short: 'triple' },
  { value: 'long_press', word: 'long-press', short: 'long' },
  { value: 'hold', word: 'hold', short: 'hold' },
]

const wordOf = (gesture: Gesture) => GESTURES.find((one) => one.value === gesture)?.word ?? gesture

interface Props {
  desk: Desk
  spot: Spot
  chosen: Chosen
  onClose: () => void
}

/** Details of one gesture of one button: choose an action, see what it changes, put it there. */
export function AssignSheet({ desk, spot, chosen, onClose }: Props) {
  const { button } = chosen
  const actions = useActions()
  const lanes = useLanes(desk.id, spot)
  const { save } = useSaving()
  const announce = useAnnounce()
  const search = useRef<HTMLInputElement>(null)
  const [gesture, setGesture] = useState(chosen.gesture)
  const [words, setWords] = useState('')
  const [picked, setPicked] = useState<CatalogueAction>()

  useEffect(() => search.current?.focus(), [])
  useEscape(onClose)

  const chips = lanes.data?.lanes.find((lane) => lane.button.ref === button.ref)?.chips ?? []
  const there = chips.find((chip) => chip.gesture === gesture && chip.origin === 'here')
  const now =
    there ??
    chips.find((chip) => chip.gesture === gesture || (gesture === 'tap' && chip.gesture === 'builtin'))
  const at = { button: button.ref, gesture, place: spot.place, mode: spot.mode }
  const change: ButtonChange | undefined = picked && { kind: 'assign', ...at, action: picked.action }
  const fixed = useFacts(desk.id, button.ref)?.is === 'fixed'
  const preview = usePreview(desk.id, change, desk.revision.number)

  const commit = async (done: ButtonChange, said: string) => {
    try {
      const revision = await save(done)
      announce(`${said} Saved as revision ${String(revision.number)}.`)
      onClose()
    } catch {
      // The desk keeps the change and says why it was not saved.
    }
  }

  return (
    <aside className={styles.sheet} data-pane tabIndex={-1} aria-labelledby="sheet-title">
      <div className={styles.head}>
        <h2 id="sheet-title">
          {button.name}, {wordOf(gesture)}
        </h2>
        <Button onClick={onClose}>Close</Button>
      </div>
      <p className={styles.now}>{now ? `Now: ${now.name}` : 'Now: nothing yet'}</p>
      <fieldset className={styles.gestures}>
        <legend className="seen-by-readers-only">Gesture</legend>
        {GESTURES.map(({ value, word, short }) => (
          <label key={value}>
            <input
              type="radio"
              name="gesture"
              aria-label={word}
              checked={gesture === value}
              onChange={() => setGesture(value)}
            />
            <GestureMark gesture={value} />
            <span aria-hidden="true">{short}</span>
          </label>
        ))}
      </fieldset>
      <label className={styles.search} htmlFor="find-action">
        Find an action
      </label>
      <Input
        id="find-action"
        ref={(input) => {
          search.current = input?.input ?? null
        }}
        value={words}
        placeholder="answer phone, louder …"
        onChange={(event) => setWords(event.target.value)}
      />
      <ActionList
        actions={matching(actions.data ?? [], words)}
        picked={picked}
        onPick={setPicked}
        words={words}
      />
      <Cautions client={desk.id} button={button.ref} gesture={gesture} />
      {change && (
        <WhatChanges
          waits={preview.data?.waits ?? []}
          limits={preview.data?.lane.limits ?? []}
          refusal={preview.error}
        />
      )}
      <div className={styles.foot}>
        <Button
          type="primary"
          block
          disabled={!change || preview.isError || fixed}
          onClick={() => {
            if (change) void commit(change, `${button.name}, ${wordOf(gesture)}: ${picked?.name ?? ''}.`)
          }}
        >
          {picked ? `Put it on the ${wordOf(gesture)}` : 'Choose an action first'}
        </Button>
        {there && (
          <Button
            block
            onClick={() =>
              void commit({ kind: 'clear', ...at }, `${button.name}, ${wordOf(gesture)}: taken off.`)
            }
          >
            Take off “{there.name}”
          </Button>
        )}
        {there && (
          <Button
            block
            onClick={() =>
              void commit(
                { kind: 'switch', ...at, off: !there.off },
                `${button.name}, ${wordOf(gesture)}: switched ${there.off ? 'on' : 'off'}.`,
              )
            }
          >
            {there.off ? `Switch “${there.name}” on` : `Switch “${there.name}” off`}
          </Button>
        )}
      </div>
    </aside>
  )
}

function ActionList(props: {
  actions: CatalogueAction[]
  picked: CatalogueAction | undefined
  onPick: (action: CatalogueAction) => void
  words: string
}) {
  const { actions, picked, onPick, words } = props
  if (actions.length === 0 && words)
    return <p className={styles.none}>No action fits “{words}”. Try other words.</p>
  return (
    <fieldset className={styles.list}>
      <legend className="seen-by-readers-only">Action</legend>
      {actions.map((action) => (
        <label key={action.id} className={styles.action}>
          <input
            type="radio"
            name="action"
            checked={picked?.id === action.id}
            onChange={() => onPick(action)}
          />
          <span>
            {action.name}
            {action.app && <small>{action.app}</small>}
          </span>
        </label>
      ))}
    </fieldset>
  )
}
