import { useCallback, useEffect, useRef, useState } from 'react'
import type { Desk as DeskData } from '../../shared/api'
import { SavingProvider, type Spot } from '../../shared/fitting'
import { AssignSheet, spotName, type Chosen } from '../assign'
import { Bench, BenchProvider } from '../bench'
import { Lanes } from '../lanes'
import { Rail } from './Rail'
import { SaveTrouble } from './SaveTrouble'
import { Trail } from './Trail'
import styles from './desk.module.css'
import { usePaneKeys } from './usePaneKeys'

/** One screen, four panes: trail, rail, middle, bench; a side sheet for what is chosen. */
export function Desk({ desk }: { desk: DeskData }) {
  const devices = desk.hosts.flatMap((host) => host.devices)
  const [shown, setShown] = useState(() => devices.map((device) => device.id))
  const [spot, setSpot] = useState<Spot>({ place: 'everywhere', mode: 'base' })
  const [chosen, setChosen] = useState<Chosen>()
  usePaneKeys()

  const close = useCallback(() => setChosen(undefined), [])
  useFocusReturns(chosen)

  const buttons = devices.filter((device) => shown.includes(device.id)).flatMap((device) => device.buttons)
  return (
    <SavingProvider client={desk.id} revision={desk.revision.number}>
      <BenchProvider client={desk.id} buttons={devices.flatMap((device) => device.buttons)}>
        <div className={chosen ? styles.deskWithSheet : styles.desk}>
          <Trail desk={desk} />
          <Rail desk={desk} shown={shown} onShown={setShown} />
          <main className={styles.middle} data-pane tabIndex={-1} aria-label="Assign">
            <SaveTrouble />
            <Lanes
              desk={desk}
              buttons={buttons}
              spot={spot}
              onSpot={setSpot}
              chosen={chosen}
              onChoose={setChosen}
            />
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
          <Bench />
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
