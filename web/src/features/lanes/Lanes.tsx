import { Button, Spin } from 'antd'
import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react'
import type { Desk, Device, Lane, LanesAnswer } from '../../shared/api'
import { useActions, useChange, useFreePlaces, useLanes, type Spot } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { spotName, useBeginWith, type Carried, type Chosen } from '../assign'
import { Axis } from './Axis'
import { CarryBar } from './CarryBar'
import { Dragging } from './Dragging'
import { DeviceLanes } from './DeviceLanes'
import { freeBySpot, HandContext, type Hand } from './hand'
import { HandBar } from './HandBar'
import { LaneRow } from './LaneRow'
import { LanesTable } from './LanesTable'
import { carryTo } from './picking'
import { scalesFor } from './scale'
import { SeveralBar } from './SeveralBar'
import { SpotPicker } from './SpotPicker'
import { FREE, useLaneKeys } from './useLaneKeys'
import { useRoving } from './useRoving'
import { useSpotFocus } from './useSpotFocus'
import { useStripWidths } from './useStripWidths'
import styles from './lanes.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  devices: Device[]
  spot: Spot
  onSpot: (spot: Spot) => void
  chosen: Chosen | undefined
  onChoose: (chosen: Chosen) => void
  /** What is in hand, as the address has it. */
  inHand: { of: 'want' | 'action'; id: string } | undefined
  onHandEmpty: (was: Props['inHand']) => void
  carried: Carried | undefined
  onCarry: (carried: Carried | undefined) => void
  onRename: (button: Chosen['button']) => void
  onArrange: () => void
  view: 'lanes' | 'table'
  /** The switch between this and other views. */
  views: ReactNode
  /** What must be seen with the lanes of this mode. */
  above: ReactNode
  /** Leads to a new place or mode. */
  onNew: (of: 'new-place' | 'new-mode') => void
}

/** Is there anything that can be put on this button at all? */
const canBeGiven = (lane: Lane) =>
  !lane.cautions.some((one) => one.bad === 'bars' && one.where.gesture === undefined)

/** What is in hand, with the free places for it among the lanes that are shown. */
function useHand(inHand: Props['inHand'], spot: Spot, lanes: Lane[] | undefined): Hand | undefined {
  const { data } = useFreePlaces(inHand, spot)
  const actions = useActions()
  return useMemo(() => {
    if (!inHand || !data) return undefined
    const shown = new Set(lanes?.map((lane) => lane.button.ref))
    const asking =
      inHand.of === 'action' ? actions.find((one) => one.id === inHand.id && one.asks.length > 0) : undefined
    const name = asking?.name ?? data.name
    return { name, asking, action: data.action, free: freeBySpot(data.places, (ref) => shown.has(ref)) }
  }, [inHand, data, lanes, actions])
}

/** The lanes of each device that is shown, with what its buttons share. */
function grouped({ lanes, heads }: LanesAnswer, devices: Device[]) {
  const of = (device: Device) => {
    const refs = new Set(device.buttons.map((button) => button.ref))
    return {
      device,
      lanes: lanes.filter((lane) => refs.has(lane.button.ref)),
      boundaries: heads.find((head) => head.device === device.id)?.boundaries ?? [],
    }
  }
  return devices.map(of).filter((group) => group.lanes.length > 0)
}

/** What each button does: as lanes to scale, or the same as a plain table. */
export function Lanes(props: Props) {
  const { desk, devices, spot, onSpot, chosen, onChoose, carried, onCarry, onRename, onArrange } = props
  const { view, views, above, onNew, inHand, onHandEmpty } = props
  const mayChange = useMayChange()
  const [picked, setPicked] = useState<string[]>()
  const { change } = useChange()
  const answer = useLanes(desk.id, spot)
  const groups = useMemo(() => answer.data && grouped(answer.data, devices), [answer.data, devices])
  const lanes = useMemo(() => groups?.flatMap((group) => group.lanes), [groups])
  const scales = useMemo(
    () => scalesFor(groups?.flatMap(({ lanes, boundaries }) => [...lanes, { boundaries }]) ?? []),
    [groups],
  )
  const { widths, ref: axisRef } = useStripWidths()

  const focusRef = useSpotFocus(lanes)
  const roving = useRoving()
  const put = useCallback(
    async (what: Carried, to: Chosen) => {
      focusRef.current = spotName(to.button.ref, to.gesture)
      const made = carryTo(what, spot, to.button.ref, to.gesture)
      if (await change(made, what.copy ? say.isCopied(what.name) : say.isMoved(what.name), { tell: true }))
        onCarry(undefined)
    },
    [change, spot, onCarry, focusRef],
  )
  const hand = useHand(inHand, spot, lanes)
  const beginWith = useBeginWith(desk.id, spot)
  const give = useCallback(
    async (given: Hand, to: Chosen) => {
      if (given.asking) {
        beginWith({ ...to, action: given.asking })
        onHandEmpty(inHand)
        onChoose(to)
        return
      }
      const name = spotName(to.button.ref, to.gesture)
      focusRef.current = name
      const made = {
        kind: 'assign' as const,
        button: to.button.ref,
        gesture: to.gesture,
        action: given.action,
        ...spot,
      }
      if (await change(made, say.putWithFullName(to.button.full_name, given.name), { tell: true }))
        onHandEmpty(inHand)
    },
    [change, spot, inHand, onHandEmpty, focusRef, beginWith, onChoose],
  )
  const choose = useCallback(
    (next: Chosen) => {
      if (carried) void put(carried, next)
      else if (hand?.free.has(spotName(next.button.ref, next.gesture))) void give(hand, next)
      else onChoose(next)
    },
    [carried, put, hand, give, onChoose],
  )
  const pick = useCallback(
    (ref: string) =>
      setPicked((all = []) => (all.includes(ref) ? all.filter((one) => one !== ref) : [...all, ref])),
    [],
  )
  const onKeyDown = useLaneKeys({
    lanes: lanes ?? [],
    spot,
    carried,
    handFull: hand !== undefined,
    onCarry,
    onPut: put,
    onRename,
  })
  // What comes in hand is brought to the first place that is free for it.
  const came = hand && inHand ? `${inHand.of}:${inHand.id}` : undefined
  useEffect(() => {
    if (came) document.querySelector<HTMLElement>(FREE)?.focus()
  }, [came])
  const several = (lanes ?? []).filter((lane) => picked?.includes(lane.button.ref))

  return (
    <section aria-labelledby="lanes-title">
      <div className={styles.head}>
        <h2 id="lanes-title">{say.whatEachButtonDoes}</h2>
        <SpotPicker desk={desk} spot={spot} onSpot={onSpot} onNew={mayChange ? onNew : undefined} />
        <div className={styles.tools} role="group" aria-label={say.lanesOtherwise}>
          {mayChange && (
            <>
              <Button onClick={onArrange}>{say.arrangements}</Button>
              <Button aria-pressed={picked !== undefined} onClick={() => setPicked(picked ? undefined : [])}>
                {say.severalOnce}
              </Button>
            </>
          )}
          {views}
        </div>
      </div>
      {above}
      {carried && <CarryBar carried={carried} onCarry={onCarry} />}
      {hand && <HandBar hand={hand} onDrop={() => onHandEmpty(inHand)} />}
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
      {lanes?.length === 0 && <p className={styles.none}>{say.noButtonYet}</p>}
      {lanes && lanes.length > 0 && (
        // eslint-disable-next-line jsx-a11y/no-static-element-interactions -- the keys of the buttons in it
        <div
          ref={roving}
          onKeyDown={onKeyDown}
          onFocus={({ target }) => {
            focusRef.current = target.dataset['spot']
          }}
        >
          {view === 'table' ? (
            <LanesTable lanes={lanes} onChoose={choose} picked={picked} onPick={pick} />
          ) : (
            <HandContext.Provider value={hand}>
              <Dragging onDrop={put}>
                <div className={styles.lanes}>
                  <Axis scales={scales} widths={widths} ref={axisRef} />
                  {groups?.map(({ device, boundaries, lanes: own }) => (
                    <DeviceLanes
                      key={device.id}
                      client={desk.id}
                      spot={spot}
                      device={device}
                      boundaries={boundaries}
                      scales={scales}
                      widths={widths}
                    >
                      {(moving) =>
                        own.map((lane) => (
                          <LaneRow
                            key={lane.button.ref}
                            client={desk.id}
                            spot={spot}
                            lane={lane}
                            moving={moving.get(lane.button.ref)}
                            scales={scales}
                            widths={widths}
                            chosen={chosen?.button.ref === lane.button.ref ? chosen.gesture : undefined}
                            picked={picked?.includes(lane.button.ref)}
                            onPick={pick}
                            onChoose={choose}
                            onButton={onRename}
                          />
                        ))
                      }
                    </DeviceLanes>
                  ))}
                </div>
              </Dragging>
            </HandContext.Provider>
          )}
        </div>
      )}
    </section>
  )
}
