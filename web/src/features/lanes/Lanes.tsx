import { Button, Radio, Spin } from 'antd'
import { useCallback, useMemo, useState } from 'react'
import type { Desk, Device, Lane } from '../../shared/api'
import { useChange, useLanes, type Spot } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { spotName, type Carried, type Chosen } from '../assign'
import { Axis } from './Axis'
import { CarryBar } from './CarryBar'
import { Dragging } from './Dragging'
import { LaneRow } from './LaneRow'
import { LanesTable } from './LanesTable'
import { carryTo } from './picking'
import { scalesFor } from './scale'
import { SeveralBar } from './SeveralBar'
import { SpotPicker } from './SpotPicker'
import { useLaneKeys } from './useLaneKeys'
import { useSpotFocus } from './useSpotFocus'
import styles from './lanes.module.css'

interface Props {
  desk: Desk
  devices: Device[]
  spot: Spot
  onSpot: (spot: Spot) => void
  chosen: Chosen | undefined
  onChoose: (chosen: Chosen) => void
  carried: Carried | undefined
  onCarry: (carried: Carried | undefined) => void
  onRename: (button: Chosen['button']) => void
  onArrange: () => void
  view: 'lanes' | 'table'
  onView: (view: 'lanes' | 'table') => void
}

/** Is there anything that can be put on this button at all? */
const canBeGiven = (lane: Lane) => !lane.cautions.some((one) => one.bars && one.gesture === null)

/** What each button does: as lanes to scale, or the same as a plain table. */
export function Lanes(props: Props) {
  const { desk, devices, spot, onSpot, chosen, onChoose, carried, onCarry, onRename, onArrange } = props
  const { view, onView } = props
  const mayChange = useMayChange()
  const [picked, setPicked] = useState<string[]>()
  const { change } = useChange()
  const answer = useLanes(desk.id, spot)
  const deviceOf = useMemo(
    () =>
      new Map(
        devices.flatMap((device) => device.buttons.map((button) => [button.ref, device.name] as const)),
      ),
    [devices],
  )
  const lanes = useMemo(
    () => answer.data?.lanes.filter((lane) => deviceOf.has(lane.button.ref)),
    [answer.data, deviceOf],
  )
  const scales = useMemo(() => scalesFor(lanes ?? []), [lanes])

  const focusRef = useSpotFocus(lanes)
  const put = useCallback(
    async (what: Carried, to: Chosen) => {
      focusRef.current = spotName(to.button.ref, to.gesture)
      const made = carryTo(what, spot, to.button.ref, to.gesture)
      if (await change(made, `“${what.name}” is ${what.copy ? 'copied' : 'moved'}.`, { tell: true }))
        onCarry(undefined)
    },
    [change, spot, onCarry, focusRef],
  )
  const choose = useCallback(
    (next: Chosen) => (carried ? void put(carried, next) : onChoose(next)),
    [carried, put, onChoose],
  )
  const pick = useCallback(
    (ref: string) =>
      setPicked((all = []) => (all.includes(ref) ? all.filter((one) => one !== ref) : [...all, ref])),
    [],
  )
  const onKeyDown = useLaneKeys({ lanes: lanes ?? [], spot, carried, onCarry, onPut: put, onRename })
  const several = (lanes ?? []).filter((lane) => picked?.includes(lane.button.ref))

  return (
    <section aria-labelledby="lanes-title">
      <div className={styles.head}>
        <h2 id="lanes-title">What each button does</h2>
        <SpotPicker desk={desk} spot={spot} onSpot={onSpot} />
        <div className={styles.tools}>
          {mayChange && (
            <>
              <Button onClick={onArrange}>Arrangements</Button>
              <Button aria-pressed={picked !== undefined} onClick={() => setPicked(picked ? undefined : [])}>
                Several at once
              </Button>
            </>
          )}
          <Radio.Group
            aria-label="Show as"
            optionType="button"
            buttonStyle="solid"
            value={view}
            onChange={(event) => onView(event.target.value as 'lanes' | 'table')}
            options={[
              { value: 'lanes', label: 'Lanes' },
              { value: 'table', label: 'Table' },
            ]}
          />
        </div>
      </div>
      {carried && <CarryBar carried={carried} onCarry={onCarry} />}
      {picked && lanes && (
        <SeveralBar
          lanes={several}
          onAll={() => setPicked(lanes.filter(canBeGiven).map((lane) => lane.button.ref))}
          onNone={() => setPicked([])}
          onAssign={(buttons) => {
            const [button, ...also] = buttons
            if (button) onChoose({ button, gesture: 'tap', also })
          }}
        />
      )}
      {answer.error && <p role="alert">{answer.error.message}</p>}
      {!lanes && !answer.error && <Spin />}
      {lanes?.length === 0 && <p className={styles.none}>Choose a device on the left to see its buttons.</p>}
      {lanes && lanes.length > 0 && (
        // eslint-disable-next-line jsx-a11y/no-static-element-interactions -- the keys of the buttons in it
        <div
          onKeyDown={onKeyDown}
          onFocus={({ target }) => {
            focusRef.current = target.dataset['spot']
          }}
        >
          {view === 'table' ? (
            <LanesTable lanes={lanes} onChoose={choose} picked={picked} onPick={pick} />
          ) : (
            <Dragging onDrop={put}>
              <div className={styles.lanes}>
                <Axis scales={scales} />
                {lanes.map((lane) => (
                  <LaneRow
                    key={lane.button.ref}
                    client={desk.id}
                    revision={answer.data?.revision ?? 0}
                    lane={lane}
                    device={devices.length > 1 ? deviceOf.get(lane.button.ref) : undefined}
                    scales={scales}
                    chosen={chosen?.button.ref === lane.button.ref ? chosen.gesture : undefined}
                    picked={picked?.includes(lane.button.ref)}
                    onPick={pick}
                    onChoose={choose}
                  />
                ))}
              </div>
            </Dragging>
          )}
        </div>
      )}
    </section>
  )
}
