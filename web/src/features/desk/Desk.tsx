import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react'
import type { Button, Desk as DeskData, Device } from '../../shared/api'
import { alongTo, useDeskAddress, type DeskAddress, type SheetAddress, type View } from '../../shared/desk'
import { SavingProvider } from '../../shared/fitting'
import { NotPutOn, spotName, type Carried, type Chosen, type LeftOver } from '../assign'
import { Bench, BenchProvider, useDown } from '../bench'
import { ConfirmBar } from '../confirm'
import { DevicesStep, type DevicesSheetOf } from '../devices'
import { Lanes, LanesCompared } from '../lanes'
import { useMayChange } from '../../shared/session'
import { useTitle } from '../../shared/ui'
import { WantsStep } from '../wants'
import { ScreenPane } from '../screens'
import { PromptPane, TuneStep, useTuning } from '../tune'
import { CountsOfMode, NoWayBack, WhereView } from '../where'
import { DeskCommands } from './DeskCommands'
import { DeskSheet } from './DeskSheet'
import { NextThing } from './NextThing'
import { Rail } from './Rail'
import { SaveTrouble } from './SaveTrouble'
import { Unreadable } from './Unreadable'
import type { Step } from './steps'
import { Trail } from './Trail'
import styles from './desk.module.css'
import { usePaneKeys } from './usePaneKeys'
import { isWhere, ViewSwitch } from './ViewSwitch'

const MIDDLE: Record<Step, string> = { wants: 'Wants', devices: 'Devices', assign: 'Assign', tune: 'Tune' }

/** Sheets in which nothing is changed. */
const LOOKED_AT: readonly string[] = ['help', 'history', 'answers']

/** One screen, four panes: trail, rail, middle, bench; a side sheet for what is chosen. */
export function Desk({ desk, step }: { desk: DeskData; step: Step }) {
  const [address, go] = useDeskAddress()
  const [carried, setCarried] = useState<Carried>()
  const [finding, setFinding] = useState(false)
  const find = useCallback(() => setFinding(true), [])
  const devices = useMemo(() => desk.hosts.flatMap((host) => host.devices), [desk])
  const spot = useSpot(desk, address)
  const mayChange = useMayChange()
  // A link leads who only looks to the step, not to a sheet in which things are changed.
  const sheet = mayChange || LOOKED_AT.includes(address.sheet?.of ?? '') ? address.sheet : undefined
  const chosen = useChosen(desk, sheet)
  usePaneKeys()
  useTitle(`${MIDDLE[step]}, ${desk.name}`)
  useFocusReturns(chosen)

  const open = useCallback((next: SheetAddress) => go({ do: 'open', sheet: next }), [go])
  const close = useCallback((done: SheetAddress) => go({ do: 'close', sheet: done }), [go])
  const choose = useCallback(
    ({ button, gesture, also = [] }: Chosen) =>
      open({ of: 'gesture', button: button.ref, gesture, also: also.map((one) => one.ref) }),
    [open],
  )
  const view = useCallback((next: View) => go({ do: 'view', view: next }), [go])
  const choosePlace = (place: string | null) => {
    if (place) go({ do: 'spot', place, mode: spot.mode }, 'assign')
    else open({ of: 'new-place' })
  }
  const emptyHand = useCallback((hand: DeskAddress['hand']) => go({ do: 'drop', hand }), [go])
  const carry = useCallback(
    (next: Carried | undefined) => {
      setCarried(next)
      // What was put on may have waited for its save: a sheet that was opened meanwhile stays.
      if (next) go({ do: 'close' })
    },
    [go],
  )
  const show = (ref: string) => {
    const { only } = address
    const device = ref.slice(0, ref.indexOf('/'))
    if (only.length > 0 && !only.includes(device)) go({ do: 'only', only: [...only, device] })
  }
  const assign = (button: Button) => {
    show(button.ref)
    go({ do: 'open', sheet: { of: 'gesture', button: button.ref, gesture: 'tap', also: [] } }, 'assign')
  }

  const goOnChoosing = ({ buttons: [button = '', ...also], spot: at, now }: LeftOver) => {
    go({ do: 'spot', ...at })
    go({ do: 'open', sheet: { of: 'gesture', button, gesture: now.gesture, also } }, 'assign')
  }

  const shown = useShown(devices, address.only)
  const buttons = devices.flatMap((device) =>
    device.buttons.map((button) => ({ ...button, name: button.full_name })),
  )
  return (
    <SavingProvider client={desk.id} revision={desk.revision.number}>
      <BenchProvider client={desk.id} buttons={buttons}>
        <div className={sheet ? styles.deskWithSheet : styles.desk}>
          <Trail
            desk={desk}
            step={step}
            along={alongTo(address)}
            onHistory={() => open({ of: 'history' })}
            onFind={find}
          />
          <DeskCommands desk={desk} go={go} finding={finding} onFinding={setFinding} />
          <Rail desk={desk} only={address.only} onOnly={(only) => go({ do: 'only', only })} />
          <ShowsPressed refs={buttons.map((one) => one.ref)} onPressed={show} />
          <main className={styles.middle} data-pane tabIndex={-1} aria-label={MIDDLE[step]}>
            <ConfirmBar desk={desk} />
            <SaveTrouble desk={desk} />
            <Unreadable desk={desk} />
            {mayChange && <NotPutOn client={desk.id} onOpen={goOnChoosing} />}
            {step === 'assign' && <NoWayBack desk={desk} />}
            {step === 'wants' && (
              <WantsStep
                desk={desk}
                chosen={sheet?.of === 'want' ? sheet.id : undefined}
                onChoose={(id) => open({ of: 'want', id })}
                onGive={({ id, place }) => go({ do: 'hand', hand: { of: 'want', id }, place }, 'assign')}
              />
            )}
            {step === 'devices' && (
              <DevicesStep
                desk={desk}
                shown={shown.map((device) => device.id)}
                onSheet={(of) => open(sheetFor(of))}
                onSettings={({ of, id }) => open({ of: 'settings', about: of, id })}
                onAssign={assign}
                view={address.devices}
                onView={(view) => go({ do: 'devices', devices: view })}
              />
            )}
            {step === 'assign' && address.compared && (
              <LanesCompared
                desk={desk}
                spot={spot}
                compared={address.compared}
                onClose={() => go({ do: 'compare', compared: undefined })}
              />
            )}
            {step === 'assign' && !address.compared && isWhere(address.view) && (
              <WhereView
                desk={desk}
                view={address.view}
                onView={view}
                onSheet={open}
                onSpot={(next) => {
                  go({ do: 'spot', ...next })
                  view('lanes')
                }}
                views={<ViewSwitch view={address.view} onView={view} />}
              />
            )}
            {step === 'assign' && !address.compared && !isWhere(address.view) && (
              <Lanes
                desk={desk}
                devices={shown}
                spot={spot}
                onSpot={(next) => go({ do: 'spot', ...next })}
                chosen={chosen}
                onChoose={choose}
                inHand={address.hand}
                onHandEmpty={emptyHand}
                carried={carried}
                onCarry={carry}
                onRename={(button) => open({ of: 'rename', button: button.ref })}
                onArrange={() => open({ of: 'arrange' })}
                view={address.view}
                views={<ViewSwitch view={address.view} onView={view} />}
                onNew={(of) => open({ of })}
                above={<CountsOfMode desk={desk} mode={spot.mode} />}
              />
            )}
            {step === 'tune' && (
              <TuneStep
                desk={desk}
                buttons={buttons}
                tuned={address.tuned}
                onTune={(button) => go({ do: 'tune', button })}
              />
            )}
            <NextThing desk={desk} step={step} />
          </main>
          {sheet && (
            <DeskSheet
              desk={desk}
              sheet={sheet}
              chosen={chosen}
              spot={spot}
              onSpot={(next) => go({ do: 'spot', ...next })}
              buttons={buttons}
              onOpen={open}
              onClose={() => close(sheet)}
              onCarry={carry}
              onCompare={(compared) => go({ do: 'compare', compared }, 'assign')}
            />
          )}
          <BenchOrPrompts desk={desk} step={step} buttons={buttons} onJoin={() => open({ of: 'join' })}>
            <Bench
              client={desk.id}
              onSheet={(of) => open({ of })}
              screen={<ScreenPane client={desk.id} onPlace={choosePlace} />}
            />
          </BenchOrPrompts>
        </div>
      </BenchProvider>
    </SavingProvider>
  )
}

/** While somebody is asked for presses, that is what stands below. */
function BenchOrPrompts(props: {
  desk: DeskData
  step: Step
  buttons: Button[]
  onJoin: () => void
  children: ReactNode
}) {
  const { desk, step, buttons, onJoin, children } = props
  const mayChange = useMayChange()
  const open = useTuning(desk.id).data?.open
  if (step !== 'tune' || !open || !mayChange) return children
  const button = buttons.find((one) => one.ref === open.button)
  return <PromptPane key={open.id} desk={desk} sitting={open} button={button} onJoin={onJoin} />
}

function sheetFor(sheet: DevicesSheetOf): SheetAddress {
  if (sheet.of === 'new-device') return { of: 'new-device' }
  if (sheet.id !== undefined) return { of: sheet.of, id: sheet.id }
  return { of: sheet.of === 'app' ? 'new-app' : 'new-host' }
}

/** The same for as long as it is the same: a hundred lanes hang on it. */
function useShown(devices: Device[], only: string[]): Device[] {
  const chosen = only.join(',')
  return useMemo(() => {
    const shown = devices.filter((device) => chosen.split(',').includes(device.id))
    return shown.length > 0 ? shown : devices
  }, [devices, chosen])
}

/** What is pressed just now is shown, whatever was chosen. */
function ShowsPressed({ refs, onPressed }: { refs: string[]; onPressed: (ref: string) => void }) {
  const down = useDown(refs).join(' ')
  const show = useRef(onPressed)
  useEffect(() => {
    show.current = onPressed
  })
  useEffect(() => {
    if (down) down.split(' ').forEach((ref) => show.current(ref))
  }, [down])
  return null
}

/** The place and mode of the address, as far as they are there. */
function useSpot(desk: DeskData, { place, mode }: DeskAddress) {
  const placeThere = desk.places.some((one) => one.id === place) ? place : 'everywhere'
  const modeThere = desk.modes.some((one) => one.id === mode) ? mode : 'base'
  return useMemo(() => ({ place: placeThere, mode: modeThere }), [placeThere, modeThere])
}

/** What the sheet of a gesture is about, as far as its buttons are there. */
function useChosen(desk: DeskData, sheet: SheetAddress | undefined): Chosen | undefined {
  return useMemo(() => {
    if (sheet?.of !== 'gesture') return undefined
    const all = desk.hosts.flatMap((host) => host.devices.flatMap((device) => device.buttons))
    const find = (ref: string) => all.find((one) => one.ref === ref)
    const button = find(sheet.button)
    const also = sheet.also.map(find).filter((one) => one !== undefined)
    return button && { button, gesture: sheet.gesture, also }
  }, [desk, sheet])
}

/** When the sheet closes, the focus goes back to the gesture it was about, whatever stands there now. */
function useFocusReturns(chosen: Chosen | undefined) {
  const last = useRef<string>(undefined)
  const spot = chosen && spotName(chosen.button.ref, chosen.gesture)
  useEffect(() => {
    if (!spot && last.current && document.activeElement === document.body)
      document.querySelector<HTMLElement>(`[data-spot="${last.current}"]`)?.focus()
    last.current = spot
  }, [spot])
}
