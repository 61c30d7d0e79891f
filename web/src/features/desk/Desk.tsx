import { useCallback, useEffect, useRef, useState } from 'react'
import type { Desk as DeskData } from '../../shared/api'
import { alongTo, type DeskNow, type StepDefinition } from '../../shared/desk'
import { SavingProvider } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { useTitle } from '../../shared/ui'
import { NotPutOn, type LeftOver } from '../assign'
import { Bench, BenchProvider, useDown } from '../bench'
import { ConfirmBar } from '../confirm'
import { WorksBy } from '../handover'
import { ScreenPane } from '../screens'
import { DeskCommands } from './DeskCommands'
import { DeskSheet } from './DeskSheet'
import { NextThing } from './NextThing'
import { Rail } from './Rail'
import { SaveTrouble } from './SaveTrouble'
import { Unreadable } from './Unreadable'
import { isOfNoStep, NOTICES } from './steps'
import { Trail } from './Trail'
import styles from './desk.module.css'
import { useClose, useDeskNow } from './useDeskNow'
import { useHeadingFocus } from './useHeadingFocus'
import { usePaneKeys } from './usePaneKeys'
import { useRestComes } from './useRestComes'

/** One screen, four panes: trail, rail, middle, bench; a side sheet for what is chosen. */
export function Desk({ desk, step }: { desk: DeskData; step: StepDefinition }) {
  const now = useDeskNow(desk, step.id)
  const { address, go, sheet, buttons } = now
  const [finding, setFinding] = useState(false)
  const mayChange = useMayChange()
  usePaneKeys()
  useHeadingFocus(step.id)
  useRestComes()
  useTitle(`${step.name}, ${desk.name}`)
  const close = useClose(now)
  const { View, Below = Nothing } = step
  return (
    <SavingProvider client={desk.id} revision={desk.revision.number}>
      <BenchProvider client={desk.id} buttons={buttons} notices={NOTICES}>
        <div className={sheet ? styles.deskWithSheet : styles.desk}>
          <Trail
            desk={desk}
            step={step}
            along={alongTo(address, isOfNoStep)}
            onHistory={() => go({ do: 'open', sheet: { of: 'history' } })}
            onFind={() => setFinding(true)}
          />
          <DeskCommands now={now} finding={finding} onFinding={setFinding} />
          <Rail desk={desk} only={address.only} onOnly={(only) => go({ do: 'only', only })} />
          <ShowsPressed now={now} />
          <main className={styles.middle} data-pane tabIndex={-1} aria-label={step.name}>
            <ConfirmBar desk={desk} />
            <SaveTrouble desk={desk} />
            <Unreadable desk={desk} />
            {mayChange && <NotPutOn client={desk.id} onOpen={(one) => goOnChoosing(now, one)} />}
            <View now={now} />
            <NextThing desk={desk} step={step} />
          </main>
          {sheet && <DeskSheet now={now} sheet={sheet} onClose={close} />}
          <Below now={now}>
            <Bench
              client={desk.id}
              onSheet={(of) => go({ do: 'open', sheet: { of } })}
              notice={desk.works_by === 'devices' && <WorksBy desk={desk} />}
              screen={
                <ScreenPane client={desk.id} onPlace={(place) => choosePlace(now, place)}>
                  {desk.works_by === 'desk' && <WorksBy desk={desk} />}
                </ScreenPane>
              }
            />
          </Below>
        </div>
      </BenchProvider>
    </SavingProvider>
  )
}

const Nothing: NonNullable<StepDefinition['Below']> = ({ children }) => children

function choosePlace({ go, spot }: DeskNow, place: string | null) {
  if (place) go({ do: 'spot', place, mode: spot.mode }, 'assign')
  else go({ do: 'open', sheet: { of: 'new-place' } })
}

function goOnChoosing({ go }: DeskNow, { buttons: [button = '', ...also], spot, now }: LeftOver) {
  go({ do: 'spot', ...spot })
  go({ do: 'open', sheet: { of: 'gesture', button, gesture: now.gesture, also } }, 'assign')
}

/** What is pressed just now is shown, whatever was chosen. */
function ShowsPressed({ now }: { now: DeskNow }) {
  const down = useDown(now.buttons.map((one) => one.ref)).join(' ')
  const { go, address } = now
  const show = useRef<(refs: string[]) => void>(undefined)
  const { only } = address
  const showing = useCallback(
    (refs: string[]) => {
      const devices = refs.map((ref) => ref.slice(0, ref.indexOf('/')))
      const more = devices.filter((device) => !only.includes(device))
      if (only.length > 0 && more.length > 0) go({ do: 'only', only: [...new Set([...only, ...more])] })
    },
    [go, only],
  )
  useEffect(() => {
    show.current = showing
  })
  useEffect(() => {
    if (down) show.current?.(down.split(' '))
  }, [down])
  return null
}
