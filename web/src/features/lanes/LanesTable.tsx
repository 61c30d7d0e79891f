import { Button, InputNumber, Table } from 'antd'
import { useState, type HTMLAttributes } from 'react'
import type { Boundary, Gesture, Lane } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { GestureMark } from '../../shared/ui'
import { SETTING_NAMES, spotName, type Chosen } from '../assign'
import { chipState, limitOf } from './ChipButton'
import styles from './lanes.module.css'
import { say } from './sentences'

const COLUMNS: { gesture: Gesture; title: string }[] = [
  { gesture: 'tap', title: 'tap' },
  { gesture: 'double_tap', title: 'double-tap' },
  { gesture: 'triple_tap', title: 'triple-tap' },
  { gesture: 'long_press', title: 'held' },
]
const STANDS_FOR: Record<string, Gesture> = { builtin: 'tap', hold: 'long_press' }

function Cell({
  lane,
  gesture,
  onChoose,
}: {
  lane: Lane
  gesture: Gesture
  onChoose: (chosen: Chosen) => void
}) {
  const mayChange = useMayChange()
  const chip = lane.chips.find((one) => (STANDS_FOR[one.gesture] ?? one.gesture) === gesture)
  const limit = chip && limitOf(chip, lane)
  const empty = lane.empties.find((one) => one.gesture === gesture)
  if (!chip && (!mayChange || (!empty && gesture !== 'tap')))
    return <span className={styles.cellNone}>–</span>
  const chosen: Gesture = chip && chip.gesture !== 'builtin' ? chip.gesture : gesture
  const name = chip ? chip.name : say.addAlone
  return (
    <>
      <Button
        className={styles.cell}
        disabled={!mayChange}
        type={chip ? 'default' : 'dashed'}
        aria-label={`${lane.button.full_name}, ${gesture.replace('_', '-')}: ${name}`}
        data-spot={spotName(lane.button.ref, chosen)}
        onClick={() => onChoose({ button: lane.button, gesture: chosen })}
      >
        {chip?.off ? <s>{name}</s> : name}
      </Button>
      {limit && <small className={styles.cellLimit}>{limit.what}</small>}
      <small>
        {chip ? [chip.wait, chipState(chip)].filter(Boolean).join(', ') : empty?.costs.join(', ')}
      </small>
    </>
  )
}

function Setting({ lane, boundary }: { lane: Lane; boundary: Boundary | undefined }) {
  const { change } = useChange()
  const mayChange = useMayChange()
  const [value, setValue] = useState<number | null>()
  if (!boundary) return <span className={styles.cellNone}>–</span>
  const commit = async () => {
    if (value == null || value === boundary.value_ms) return
    // A refusal is told by the desk, with the change.
    await change({ kind: 'timing', button: lane.button.ref, setting: boundary.setting, value }, '')
    setValue(undefined)
  }
  return (
    <InputNumber
      disabled={!mayChange}
      aria-label={say.msWithSetting(
        SETTING_NAMES[boundary.setting] ?? boundary.setting,
        lane.button.full_name,
      )}
      min={boundary.from_ms}
      max={boundary.to_ms}
      step={boundary.step_ms}
      suffix="ms"
      value={value === undefined ? boundary.value_ms : value}
      onChange={setValue}
      onBlur={() => void commit()}
      onPressEnter={() => void commit()}
    />
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
  const settingColumn = (setting: string) => ({
    title: SETTING_NAMES[setting]?.toLowerCase(),
    key: setting,
    render: (_: unknown, lane: Lane) => (
      <Setting lane={lane} boundary={lane.boundaries.find((one) => one.setting === setting)} />
    ),
  })
  return (
    <Table<Lane>
      className={styles.table}
      rowKey={(lane) => lane.button.ref}
      onRow={(lane) => ({ 'data-button': lane.button.ref }) as HTMLAttributes<HTMLElement>}
      dataSource={lanes}
      pagination={false}
      scroll={{ x: 'max-content' }}
      columns={[
        {
          title: say.button,
          key: 'button',
          rowScope: 'row',
          render: (_, lane) => (
            <>
              <strong>{lane.button.off ? <s>{lane.button.full_name}</s> : lane.button.full_name}</strong>
              {lane.button.print && <small>{say.print(lane.button.print)}</small>}
              {picked && (
                <label className={styles.pick}>
                  <input
                    type="checkbox"
                    checked={picked.includes(lane.button.ref)}
                    aria-label={say.chooseWithFullName(lane.button.full_name)}
                    onChange={() => onPick(lane.button.ref)}
                  />
                  {say.choose}
                </label>
              )}
              {lane.own.map((one) => (
                <small key={one.gesture}>{one.lost ?? one.hardly ?? say.alsoItself(one.words)}</small>
              ))}
              {lane.cautions
                .filter((caution) => caution.stands)
                .map((caution) => (
                  <small key={caution.what}>{caution.what}</small>
                ))}
            </>
          ),
        },
        ...COLUMNS.map(({ gesture, title }) => ({
          key: gesture,
          title: (
            <>
              <GestureMark gesture={gesture} /> {title}
            </>
          ),
          render: (_: unknown, lane: Lane) => <Cell lane={lane} gesture={gesture} onChoose={onChoose} />,
        })),
        ...settings.map(settingColumn),
      ]}
    />
  )
}
