import { Button, Select } from 'antd'
import { useState, type ReactNode } from 'react'
import type { Screen } from '../../shared/api'
import { CueBanner } from '../../shared/cues'
import { ScreenPicture } from '../../shared/screen'
import { useMayChange } from '../../shared/session'
import { Faults, MenuButton, useAnnounce } from '../../shared/ui'
import { say } from './sentences'
import styles from './screens.module.css'
import { useByHand, useScreens } from './useScreens'

interface Props {
  client: string
  /** What was pressed while a place is chosen: the fitting’s place, or none yet. */
  onPlace: (place: string | null, label: string) => void
  /** By what it goes. */
  children?: ReactNode
}

/** The stand-in hosts of a client, one at a time. */
export function ScreenPane({ client, onPlace, children }: Props) {
  const { data: screens, error } = useScreens(client)
  const [host, setHost] = useState<string>()
  const screen = screens?.find((one) => one.host === host) ?? screens?.[0]
  if (error) return <p role="alert">{error.message}</p>
  if (!screens || !screen) return null
  return (
    <section className={styles.pane} aria-label={say.screenOf(screen.name)}>
      <CueBanner />
      {children}
      <OneScreen key={screen.host} client={client} screen={screen} onPlace={onPlace}>
        {screens.length > 1 && (
          <Select
            aria-label={say.whichHost}
            value={screen.host}
            onChange={setHost}
            options={screens.map((one) => ({ value: one.host, label: one.name }))}
          />
        )}
      </OneScreen>
    </section>
  )
}

/** What may happen on a host by itself, or by others. */
const happenings = (screen: Screen) => [
  { key: 'lock', label: screen.locked ? say.unlock : say.lock },
  { key: 'afar', label: screen.afar ? say.afarNoMore : say.afar },
  { key: 'ring', label: say.ring },
  ...screen.happenings.map((one) => ({ key: one.button, label: one.name })),
  { key: 'anew', label: say.anew },
]

function OneScreen(props: Props & { screen: Screen }) {
  const { client, screen, onPlace, children } = props
  const mayChange = useMayChange()
  const announce = useAnnounce()
  const [choosing, setChoosing] = useState(false)
  const byHand = useByHand(client, screen.host)
  const press = (element: Screen['elements'][number]) => {
    if (!choosing) {
      void byHand.run({ do: 'point', element: element.key })
      return
    }
    setChoosing(false)
    announce(element.place ? say.showsPlace(element.label) : say.notAPlaceYet(element.label))
    onPlace(element.place, element.label)
  }
  const openable = screen.elements.filter((element) => element.kind === 'start')
  const happen = (what: string) => {
    if (what === 'lock') void byHand.run({ do: what, on: !screen.locked })
    else if (what === 'afar') void byHand.run({ do: what, on: !screen.afar })
    else if (what === 'ring' || what === 'anew') void byHand.run({ do: what })
    else void byHand.run({ do: 'happen', button: what })
  }
  return (
    <>
      <div className={styles.controls}>
        {children}
        {mayChange && (
          <>
            <Button
              aria-pressed={choosing}
              onClick={() => {
                setChoosing(!choosing)
                if (!choosing) announce(say.chooseOne)
              }}
            >
              {say.choosePlace}
            </Button>
            {openable.length > 0 && (
              <MenuButton
                items={openable.map(({ key, label }) => ({
                  key,
                  label,
                  onChoose: () => void byHand.run({ do: 'point', element: key }),
                }))}
              >
                {say.openApp}
              </MenuButton>
            )}
            <MenuButton
              items={happenings(screen).map((one) => ({ ...one, onChoose: () => happen(one.key) }))}
            >
              {say.letHappen}
            </MenuButton>
          </>
        )}
      </div>
      {choosing && <p className={styles.said}>{say.chooseOne}</p>}
      <Faults refused={byHand.refused} />
      <ScreenPicture
        screen={screen}
        onPress={mayChange ? press : undefined}
        onLine={mayChange ? (line) => void byHand.run({ do: 'line', line }) : undefined}
      />
      <p className={styles.said} data-said>
        {screen.said || say.nothingSaid} <small>{screen.facts.join(' ')}</small>
      </p>
      {screen.refuses.length > 0 && (
        <details>
          <summary>{say.refuses(screen.refuses.length)}</summary>
          <ul>
            {screen.refuses.map((one) => (
              <li key={one.what}>{one.what}</li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}
