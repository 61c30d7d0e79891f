import { InputNumber } from 'antd'
import { useState } from 'react'
import type { Boundary, Gesture, Lane } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { GestureMark } from '../../shared/ui'
import { SETTING_NAMES, spotName, wordOf, type Chosen } from '../assign'
import { chipState, limitOf } from './ChipButton'
import bars from './bars.module.css'
import { say } from './sentences'
import styles from './table.module.css'

const COLUMNS: { gesture: Gesture; title: string }[] = [
  { gesture: 'tap', title: say.columns.tap },
  { gesture: 'double_tap', title: say.columns.double_tap },
  { gesture: 'triple_tap', title: say.columns.triple_tap },
  { gesture: 'long_press', title: say.columns.held },
]
const STANDS_FOR: Record<string, Gesture> = { builtin: 'tap', hold: 'long_press' }

const chipOf = (lane: Lane, gesture: Gesture) =>
  lane.chips.find((one) => (STANDS_FOR[one.gesture] ?? one.gesture) === gesture)
const emptyOf = (lane: Lane, gesture: Gesture) => lane.empties.find((one) => one.gesture === gesture)

function Cell(props: { lane: Lane; gesture: Gesture; onChoose: (chosen: Chosen) => void }) {
  const { lane, gesture, onChoose } = props
  const mayChange = useMayChange()
  const chip = chipOf(lane, gesture)
  const limit = chip && limitOf(chip, lane)
  const empty = emptyOf(lane, gesture)
  if (!chip && (!mayChange || (!empty && gesture !== 'tap'))) return <span className={styles.none}>–</span>
  const chosen: Gesture = chip && chip.gesture !== 'builtin' ? chip.gesture : gesture
  const title = wordOf(gesture)
  const costs = empty?.costs.join(', ')
  const notes = chip ? [chip.wait, chipState(chip)].filter(Boolean).join(', ') : ''
  return (
    <>
      <button
        type="button"
        className={styles.cell}
        disabled={!mayChange}
        data-empty={!chip}
        aria-label={
          chip
            ? notes
              ? say.inCellWithNotes(lane.button.full_name, title, chip.name, notes)
              : say.inCell(lane.button.full_name, title, chip.name)
            : costs
              ? say.addInCellAtCost(lane.button.full_name, title, costs)
              : say.addInCell(lane.button.full_name, title)
        }
        data-spot={spotName(lane.button.ref, chosen)}
        onClick={() => onChoose({ button: lane.button, gesture: chosen })}
      >
        {chip ? <strong>{chip.off ? <s>{chip.name}</s> : chip.name}</strong> : say.plus}{' '}
        {notes && <small>{notes}</small>}
      </button>
      {limit && <small className={styles.limit}>{limit.what}</small>}
    </>
  )
}

function Setting({ lane, boundary }: { lane: Lane; boundary: Boundary | undefined }) {
  const { change } = useChange()
  const mayChange = useMayChange()
  const [value, setValue] = useState<number | null>()
  if (!boundary) return <span className={styles.none}>–</span>
  const commit = async () => {
    if (value == null || value === boundary.value_ms) return
    // A refusal is told by the desk, with the change.
    await change({ kind: 'timing', button: lane.button.ref, setting: boundary.setting, value }, '')
    setValue(undefined)
  }
  return (
    <InputNumber
      disabled={!mayChange}
      controls={false}
      aria-label={say.msWithSetting(
        SETTING_NAMES[boundary.setting] ?? boundary.setting,
        lane.button.full_name,
      )}
      min={boundary.from_ms}
      max={boundary.to_ms}
      step={boundary.step_ms}
      value={value === undefined ? boundary.value_ms : value}
      onChange={setValue}
      onBlur={() => void commit()}
      onPressEnter={() => void commit()}
    />
  )
}

function ButtonCell({
  lane,
  picked,
  onPick,
}: {
  lane: Lane
  picked: boolean | undefined
  onPick: () => void
}) {
  const { button, own, cautions } = lane
  return (
    <th scope="row">
      <strong>{button.off ? <s>{button.full_name}</s> : button.full_name}</strong>
      {button.print && <small>{say.print(button.print)}</small>}
      {picked !== undefined && (
        <label className={bars.pick}>
          <input
            type="checkbox"
            checked={picked}
            aria-label={say.chooseWithFullName(button.full_name)}
            onChange={onPick}
          />
          {say.choose}
        </label>
      )}
      {own.map((one) => (
        <small key={one.gesture}>{one.lost ?? one.hardly ?? say.alsoItself(one.words)}</small>
      ))}
      {cautions
        .filter((caution) => caution.stands)
        .map((caution) => (
          <small key={caution.what}>{caution.what}</small>
        ))}
    </th>
  )
}

/** The same content and the same changes as the lanes, for those who can't see or don't want the picture. */
export function LanesTable(props: {
  lanes: Lane[]
  onChoose: (chosen: Chosen) => void
  /** Which are among several; undefined where none are being chosen. */
  picked: string[] | undefined
  onPick: (button: string) => void
}) {
  const { lanes, onChoose, picked, onPick } = props
  const settings = Object.keys(SETTING_NAMES).filter((setting) =>
    lanes.some((lane) => lane.boundaries.some((one) => one.setting === setting)),
  )
  // What no button has, and none could be given, takes no room.
  const gestures = COLUMNS.filter(({ gesture }) =>
    lanes.some((lane) => chipOf(lane, gesture) ?? emptyOf(lane, gesture)),
  )
  return (
    <div className={styles.table}>
      <table>
        <thead>
          <tr>
            <th scope="col">{say.button}</th>
            {gestures.map(({ gesture, title }) => (
              <th key={gesture} scope="col">
                <GestureMark gesture={gesture} /> {title}
              </th>
            ))}
            {settings.map((setting) => (
              <th key={setting} scope="col">
                {SETTING_NAMES[setting]?.toLowerCase()} <small>{say.inMs}</small>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lanes.map((lane) => (
            <tr key={lane.button.ref} data-button={lane.button.ref}>
              <ButtonCell
                lane={lane}
                picked={picked?.includes(lane.button.ref)}
                onPick={() => onPick(lane.button.ref)}
              />
              {gestures.map(({ gesture }) => (
                <td key={gesture}>
                  <Cell lane={lane} gesture={gesture} onChoose={onChoose} />
                </td>
              ))}
              {settings.map((setting) => (
                <td key={setting}>
                  <Setting lane={lane} boundary={lane.boundaries.find((one) => one.setting === setting)} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
