import { useCallback, useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import type { Button, Desk as DeskData } from '../../shared/api'
import { SavingProvider, type Spot } from '../../shared/fitting'
import { AssignSheet, spotName, type Chosen } from '../assign'
import { Bench, BenchProvider, HandSheet } from '../bench'
import { DevicesSheet, DevicesStep, type DevicesSheetOf } from '../devices'
import { HistorySheet } from '../history'
import { JoinSheet } from '../joining'
import { Lanes } from '../lanes'
import { WantSheet, WantsStep } from '../wants'
import { Rail } from './Rail'
import { SaveTrouble } from './SaveTrouble'
import type { Step } from './steps'
import { Trail } from './Trail'
import styles from './desk.module.css'
import { usePaneKeys } from './usePaneKeys'

/** What the side sheet is about; each belongs to a step, but those of bench and history. */
type Sheet =
  | { step: 'assign'; chosen: Chosen }
  | { step: 'devices'; sheet: DevicesSheetOf }
  | { step: 'wants'; want: string }
  | { step: 'any'; of: 'join' | 'hand' | 'history' }

const MIDDLE: Record<Step, string> = { wants: 'Wants', devices: 'Devices', assign: 'Assign' }

/** One screen, four panes: trail, rail, middle, bench; a side sheet for what is chosen. */
export function Desk({ desk, step }: { desk: DeskData; step: Step }) {
  const navigate = useNavigate()
  const devices = desk.hosts.flatMap((host) => host.devices)
  const [hidden, setHidden] = useState<string[]>([])
  const [spot, setSpot] = useState<Spot>({ place: 'everywhere', mode: 'base' })
  const [opened, setSheet] = useState<Sheet>()
  const sheet = opened && (opened.step === step || opened.step === 'any') ? opened : undefined
  const chosen = sheet?.step === 'assign' ? sheet.chosen : undefined
  usePaneKeys()

  const close = useCallback(() => setSheet(undefined), [setSheet])
  useFocusReturns(chosen)
  const assign = (button: Button) => {
    setHidden((all) => all.filter((id) => !button.ref.startsWith(`${id}/`)))
    setSheet({ step: 'assign', chosen: { button, gesture: 'tap' } })
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
            <SaveTrouble />
            {step === 'wants' && (
              <WantsStep
                desk={desk}
                chosen={sheet?.step === 'wants' ? sheet.want : undefined}
                onChoose={(want) => setSheet({ step: 'wants', want })}
              />
            )}
            {step === 'devices' && (
              <DevicesStep
                desk={desk}
                shown={shown.map((device) => device.id)}
                onSheet={(of) => setSheet({ step: 'devices', sheet: of })}
                onAssign={assign}
              />
            )}
            {step === 'assign' && (
              <Lanes
                desk={desk}
                devices={shown}
                spot={spot}
                onSpot={setSpot}
                chosen={chosen}
                onChoose={(next) => setSheet({ step: 'assign', chosen: next })}
              />
            )}
          </main>
          {chosen && (
            <AssignSheet
              key={`${chosen.button.ref} ${chosen.gesture}`}
              desk={desk}
              spot={spot}
              chosen={chosen}
              onClose={close}
            />
          )}
          {sheet?.step === 'devices' && <DevicesSheet desk={desk} sheet={sheet.sheet} onClose={close} />}
          {sheet?.step === 'wants' && <WantSheet desk={desk} want={sheet.want} onClose={close} />}
          {sheet?.step === 'any' && sheet.of === 'join' && <JoinSheet desk={desk} onClose={close} />}
          {sheet?.step === 'any' && sheet.of === 'history' && <HistorySheet desk={desk} onClose={close} />}
          {sheet?.step === 'any' && sheet.of === 'hand' && (
            <HandSheet desk={desk} buttons={buttons} onClose={close} />
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
    if (!chosen && last.current) {
      const spot = spotName(last.current.button.ref, last.current.gesture)
      document.querySelector<HTMLElement>(`[data-spot="${spot}"]`)?.focus()
    }
    last.current = chosen
  }, [chosen])
}
