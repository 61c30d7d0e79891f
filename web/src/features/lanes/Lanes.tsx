import { Button } from 'antd'
import { useCallback, useEffect, useLayoutEffect, useMemo, useState, type ReactNode } from 'react'
import { Waiting } from '../../shared/plain'
import type { Desk, Device, Lane, LanesAnswer } from '../../shared/api'
import { addressNow, type InHand } from '../../shared/desk'
import { useActions, useChange, useFreePlaces, useLanes, type Spot } from '../../shared/fitting'
import { Dragging } from '../../shared/dragging'
import { owner } from '../../shared/focus'
import { useMayChange } from '../../shared/session'
import { later, useStable } from '../../shared/ui'
import { spotName, useBeginWith, type Carried, type Chosen } from '../assign'
import { Axis } from './Axis'
import { DeviceLanes } from './DeviceLanes'
import { freeBySpot, HandContext, type Given, type Hand } from './hand'
import { LaneRow } from './LaneRow'
import { carryTo, placeOf } from './picking'
import { stretchScale, widestOf, type Scales } from './scale'
import { SpotPicker } from './SpotPicker'
import { FREE, useLaneKeys } from './useLaneKeys'
import { useRoving } from './useRoving'
import { useStripWidths } from './useStripWidths'
import styles from './lanes.module.css'
import barsStyles from './bars.module.css'
import { say } from './sentences'

const LanesTable = later(async () => (await import('./LanesTable')).LanesTable, <Waiting />)
const HandBar = later(async () => (await import('./HandBar')).HandBar, null)
const SeveralBar = later(async () => (await import('./SeveralBar')).SeveralBar, null)

interface Props {
  desk: Desk
  devices: Device[]
  spot: Spot
  onSpot: (spot: Spot) => void
  chosen: Chosen | undefined
  onChoose: (chosen: Chosen) => void
  /** What is in hand, as the address has it. */
  inHand: InHand | undefined
  onHand: (hand: InHand) => void
  onHandEmpty: (was: InHand | undefined) => void
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

/** What is in hand: an action with the free places for it among the lanes that are shown, or what stands somewhere here. */
function useHand(inHand: InHand | undefined, spot: Spot, all: Lane[] | undefined, shown: Lane[] | undefined) {
  const wanted = inHand?.of === 'chip' ? undefined : inHand
  const { data } = useFreePlaces(wanted, spot)
  const actions = useActions(inHand?.of === 'action')
  return useMemo((): Hand | undefined => {
    if (inHand?.of === 'chip') return carriedOf(inHand, all)
    if (!inHand || !data) return undefined
    const refs = new Set(shown?.map((lane) => lane.button.ref))
    const asking =
      inHand.of === 'action' ? actions.find((one) => one.id === inHand.id && one.asks.length > 0) : undefined
    const name = asking?.name ?? data.name
    const free = freeBySpot(data.places, (ref) => refs.has(ref))
    return { of: 'given', name, asking, action: data.action, free }
  }, [inHand, data, all, shown, actions])
}

/** As it stands there; nothing where it stands there no more. */
function carriedOf(
  { button: ref, gesture, copy }: Extract<InHand, { of: 'chip' }>,
  lanes: Lane[] | undefined,
) {
  const lane = lanes?.find((one) => one.button.ref === ref)
  const chip = lane?.chips.find((one) => one.gesture === gesture && one.origin === 'here')
  return lane && chip
    ? { of: 'chip' as const, button: lane.button, gesture, name: chip.name, copy }
    : undefined
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

/** The same for as long as they are as wide: every lane hangs on them. */
function useScales(groups: ReturnType<typeof grouped> | undefined): Scales {
  const { held, apart } = useMemo(
    () => widestOf(groups?.flatMap(({ lanes, boundaries }) => [...lanes, { boundaries }]) ?? []),
    [groups],
  )
  return useMemo(() => ({ held: stretchScale(held), apart: stretchScale(apart) }), [held, apart])
}

/** What each button does: as lanes to scale, or the same as a plain table. */
export function Lanes(props: Props) {
  const { desk, devices, spot, onSpot, chosen, onChoose, onRename, onArrange } = props
  const { view, views, above, onNew, inHand, onHand, onHandEmpty } = props
  const mayChange = useMayChange()
  const [picked, setPicked] = useState<string[]>()
  const { change } = useChange()
  const answer = useLanes(desk.id, spot)
  const groups = useMemo(() => answer.data && grouped(answer.data, devices), [answer.data, devices])
  const lanes = useMemo(() => groups?.flatMap((group) => group.lanes), [groups])
  const scales = useScales(groups)
  const { widths, ref: axisRef } = useStripWidths()

  const roving = useRoving()
  // At once: whoever types on has no moment in which the keys go nowhere.
  useLayoutEffect(() => owner.look(), [lanes])
  const put = async (what: Carried, to: Chosen) => {
    const { hand: inHandThen } = addressNow()
    const made = carryTo(what, spot, to.button.ref, to.gesture)
    if (await change(made, what.copy ? say.isCopied(what.name) : say.isMoved(what.name), { tell: true })) {
      onHandEmpty(inHandThen)
      owner.expect(spotName(to.button.ref, to.gesture))
    }
  }
  // Chips may be dragged to another gesture; with Ctrl they are copied. Keys do the same: see useLaneKeys.
  const take = (name: string) => {
    const chip = mayChange && placeOf(lanes ?? [], name)?.chip
    return chip && chip.origin === 'here' ? chip.name : undefined
  }
  const drop = (name: string, onto: string, copy: boolean) => {
    const [from, to] = [name, onto].map((one) => placeOf(lanes ?? [], one))
    if (from?.chip && to) void put({ ...from, name: from.chip.name, copy }, to)
  }
  const hand = useHand(inHand, spot, answer.data?.lanes, lanes)
  const given = hand?.of === 'given' ? hand : undefined
  // Who types fast has taken something in hand before that is drawn.
  const carriedNow = () => {
    const { hand: now } = addressNow()
    return now?.of === 'chip' ? carriedOf(now, answer.data?.lanes) : undefined
  }
  const beginWith = useBeginWith(desk.id, spot)
  const give = async (given: Given, to: Chosen) => {
    if (given.asking) {
      beginWith({ ...to, action: given.asking })
      onHandEmpty(inHand)
      onChoose(to)
      return
    }
    const made = {
      kind: 'assign' as const,
      button: to.button.ref,
      gesture: to.gesture,
      action: given.action,
      ...spot,
    }
    if (await change(made, say.putWithFullName(to.button.full_name, given.name), { tell: true })) {
      onHandEmpty(inHand)
      owner.expect(spotName(to.button.ref, to.gesture))
    }
  }
  const choose = useStable((next: Chosen) => {
    const carried = carriedNow()
    if (carried) void put(carried, next)
    else if (given?.free.has(spotName(next.button.ref, next.gesture))) void give(given, next)
    else onChoose(next)
  })
  const onButton = useStable(onRename)
  const pick = useCallback(
    (ref: string) =>
      setPicked((all = []) => (all.includes(ref) ? all.filter((one) => one !== ref) : [...all, ref])),
    [],
  )
  const onKeyDown = useLaneKeys({
    lanes: lanes ?? [],
    spot,
    carriedNow,
    handFull: given !== undefined,
    onCarry: ({ button, gesture, copy }) => onHand({ of: 'chip', button: button.ref, gesture, copy }),
    onPut: put,
    onRename,
  })
  // What comes in hand is brought to the first place that is free for it.
  const came = given && inHand?.of !== 'chip' ? `${inHand?.of ?? ''}:${inHand?.id ?? ''}` : undefined
  useEffect(() => {
    if (came) document.querySelector<HTMLElement>(FREE)?.focus()
  }, [came])
  const several = (lanes ?? []).filter((lane) => picked?.includes(lane.button.ref))

  return (
    <section aria-labelledby="lanes-title">
      <div className={barsStyles.head}>
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
      {hand && inHand && (
        <HandBar
          hand={hand}
          onDrop={() => onHandEmpty(inHand)}
          onCopy={(copy) => inHand.of === 'chip' && onHand({ ...inHand, copy })}
        />
      )}
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
      {!lanes && !answer.error && <Waiting />}
      {lanes?.length === 0 && <p className={styles.none}>{say.noButtonYet}</p>}
      {lanes && lanes.length > 0 && (
        // eslint-disable-next-line jsx-a11y/no-static-element-interactions -- the keys of the buttons in it
        <div ref={roving} onKeyDown={onKeyDown}>
          {view === 'table' ? (
            <LanesTable lanes={lanes} onChoose={choose} picked={picked} onPick={pick} />
          ) : (
            <HandContext.Provider value={given}>
              <Dragging take={take} drop={drop}>
                <div className={styles.lanes}>
                  <Axis scales={scales} widths={widths} ref={axisRef} />
                  {widths &&
                    groups?.map(({ device, boundaries, lanes: own }) => (
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
                              onButton={onButton}
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
