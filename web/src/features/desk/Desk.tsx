import { useCallback, useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import type { Button, Desk as DeskData } from '../../shared/api'
import { SavingProvider, type Spot } from '../../shared/fitting'
import { spotName, type Carried, type Chosen } from '../assign'
import { Bench, BenchProvider } from '../bench'
import { ConfirmBar } from '../confirm'
import { DevicesStep } from '../devices'
import { Lanes, LanesCompared, type Compared } from '../lanes'
import { WantsStep } from '../wants'
import { DeskSheet, type Sheet } from './DeskSheet'
import { Rail } from './Rail'
import { SaveTrouble } from './SaveTrouble'
import type { Step } from './steps'
import { Trail } from './Trail'
import styles from './desk.module.css'
import { usePaneKeys } from './usePaneKeys'

const MIDDLE: Record<Step, string> = { wants: 'Wants', devices: 'Devices', assign: 'Assign' }

/** One screen, four panes: trail, rail, middle, bench; a side sheet for what is chosen. */
export function Desk({ desk, step }: { desk: DeskData; step: Step }) {
  const navigate = useNavigate()
  const devices = desk.hosts.flatMap((host) => host.devices)
  const [hidden, setHidden] = useState<string[]>([])
  const [spot, setSpot] = useState<Spot>({ place: 'everywhere', mode: 'base' })
  const [opened, setSheet] = useState<Sheet>()
  const [carried, setCarried] = useState<Carried>()
  const [compared, setCompared] = useState<Compared>()
  const sheet = opened && (opened.step === step || opened.step === 'any') ? opened : undefined
  const chosen = sheet?.of === 'gesture' ? sheet.chosen : undefined
  usePaneKeys()

  // A sheet closes itself when it has saved; by then another may be open, which stays.
  const close = useCallback((done: Sheet) => setSheet((now) => (now === done ? undefined : now)), [setSheet])
  const choose = useCallback(
    (next: Chosen) => setSheet({ step: 'assign', of: 'gesture', chosen: next }),
    [setSheet],
  )
  const carry = useCallback(
    (next: Carried | undefined) => {
      setCarried(next)
      setSheet(undefined)
    },
    [setCarried, setSheet],
  )
  useFocusReturns(chosen)
  const assign = (button: Button) => {
    setHidden((all) => all.filter((id) => !button.ref.startsWith(`${id}/`)))
    choose({ button, gesture: 'tap' })
    void navigate(`/clients/${desk.id}/assign`)
  }
  const compare = (next: Compared) => {
    setCompared(next)
    setSheet(undefined)
    void navigate(`/clients/${desk.id}/assign`)
  }

  const shown = devices.filter((device) => !hidden.includes(device.id))
  const buttons = devices.flatMap((device) =>
    device.buttons.map((button) =>
      // Of several devices a button's own name may not be enough.
      devices.length > 1 ? { ...button, name: `${device.name}, ${button.name}` } : button,
    ),
  )
  return (
    <SavingProvider client={desk.id} revision={desk.revision.number}>
      <BenchProvider client={desk.id} buttons={buttons}>
        <div className={sheet ? styles.deskWithSheet : styles.desk}>
          <Trail desk={desk} onHistory={() => setSheet({ step: 'any', of: 'history' })} />
          <Rail desk={desk} hidden={hidden} onHidden={setHidden} />
          <main className={styles.middle} data-pane tabIndex={-1} aria-label={MIDDLE[step]}>
            <ConfirmBar desk={desk} />
            <SaveTrouble desk={desk} />
            {step === 'wants' && (
              <WantsStep
                desk={desk}
                chosen={sheet?.of === 'want' ? sheet.want : undefined}
                onChoose={(want) => setSheet({ step: 'wants', of: 'want', want })}
              />
            )}
            {step === 'devices' && (
              <DevicesStep
                desk={desk}
                shown={shown.map((device) => device.id)}
                onSheet={(of) => setSheet({ step: 'devices', of: 'device', sheet: of })}
                onSettings={(about) => setSheet({ step: 'devices', of: 'settings', about })}
                onAssign={assign}
              />
            )}
            {step === 'assign' && compared && (
              <LanesCompared
                desk={desk}
                spot={spot}
                compared={compared}
                onClose={() => setCompared(undefined)}
              />
            )}
            {step === 'assign' && !compared && (
              <Lanes
                desk={desk}
                devices={shown}
                spot={spot}
                onSpot={setSpot}
                chosen={chosen}
                onChoose={choose}
                carried={carried}
                onCarry={carry}
                onRename={(button) => setSheet({ step: 'assign', of: 'rename', button })}
                onArrange={() => setSheet({ step: 'assign', of: 'arrange' })}
              />
            )}
          </main>
          {sheet && (
            <DeskSheet
              desk={desk}
              sheet={sheet}
              spot={spot}
              buttons={buttons}
              onClose={() => close(sheet)}
              onCarry={carry}
              onCompare={compare}
            />
          )}
          <Bench onSheet={(of) => setSheet({ step: 'any', of })} />
        </div>
      </BenchProvider>
    </SavingProvider>
  )
}

/** When the sheet closes, the focus goes back to the gesture it was about, whatever stands there now. */
function useFocusReturns(chosen: Chosen | undefined) {
  const last = useRef<Chosen>(undefined)
  useEffect(() => {
    if (!chosen && last.current && document.activeElement === document.body) {
      const spot = spotName(last.current.button.ref, last.current.gesture)
      document.querySelector<HTMLElement>(`[data-spot="${spot}"]`)?.focus()
    }
    last.current = chosen
  }, [chosen])
}
