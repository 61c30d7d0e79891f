import { Button } from 'antd'
import { useEffect } from 'react'
import type { Button as ButtonData, ButtonFacts, Desk, DeviceFacts, HeardSource } from '../../shared/api'
import { useChange, useHeard } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { DeviceDrawing, useAnnounce } from '../../shared/ui'
import { useBench, type FoundSource } from '../bench'
import { NameIt } from './NameIt'
import { NewDevice } from './NewDevice'
import styles from './find.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  devices: DeviceFacts[]
  source: string
  down: boolean
  level: number | undefined
  kind: FoundSource['kind']
  /** Heard on another listener, and what it stands for there. */
  elsewhere?: { listener: string; button: string | null }
  large: boolean
  onAssign: (button: ButtonData) => void
  onCorrect: (button: ButtonFacts) => void
}

const nameOf = (one: HeardSource['buttons'][number]) => one.button.full_name

/** In words, which of the client's buttons a source is. */
function verdict(heard: HeardSource): string {
  const [first] = heard.buttons
  if (!first) return say.noButtonThisClient
  if (heard.buttons.length === 1) return nameOf(first)
  return say.cantToldApartBrowser(heard.buttons.map(nameOf).join(' or '))
}

/** What a button does by itself, as far as anybody knows. */
function byItself({ builtin, added, corrected }: ButtonFacts): string {
  if (builtin.length === 0) return added && !corrected ? say.notKnownYet : say.nothing
  return builtin.map(({ gesture_name, words }) => `${gesture_name}: ${words}`).join(', ')
}

/** One source that was heard: its name and codes, the button it is, what can be done with it. */
export function FoundCard(props: Props) {
  const { desk, devices, source, down, level, kind, elsewhere, large, onAssign, onCorrect } = props
  const mayChange = useMayChange()
  const heard = useHeard(desk.id, source).data
  const { bindings } = useBench('bindings')
  const { change, busy } = useChange()
  const announce = useAnnounce()
  const all = devices.flatMap((device) => device.buttons)
  const standsFor = elsewhere ? elsewhere.button : bindings.get(source)
  const bound = all.find((button) => button.ref === standsFor)
  const only = heard?.buttons.length === 1 ? heard.buttons[0] : undefined
  const button = bound ?? only?.button
  const facts = all.find((one) => one.ref === button?.ref)
  const drawn = desk.hosts
    .flatMap((host) => host.devices)
    .find((device) => device.id === button?.ref.split('/')[0])
  const words = heard && (bound?.full_name ?? verdict(heard))

  useEffect(() => {
    if (large && heard && words) announce(say.heardAs(heard.name, words))
  }, [announce, large, heard, words])

  if (!heard) return <p aria-busy="true">{source}</p>
  return (
    <article
      className={large ? styles.found : styles.foundSmall}
      data-source={source}
      data-down={down}
      aria-label={heard.name}
    >
      {large && (
        <DeviceDrawing
          drawing={drawn?.drawing ?? null}
          height={150}
          chosen={button?.ref.split('/')[1]}
          down={down && button ? [button.ref.split('/')[1] ?? ''] : []}
        />
      )}
      <div className={styles.words}>
        <p className={styles.name}>
          {heard.name} {down && <strong className={styles.down}>{say.down}</strong>}
          {level !== undefined && level > 0 && <span> {say.level(String(Math.round(level * 100)))}</span>}
        </p>
        <p className={styles.verdict}>{words}</p>
        {facts && <p>{say.byItself(byItself(facts))}</p>}
        {!heard.known && <p>{say.itsNumberNoTable}</p>}
        {heard.kept && <p className={styles.kept}>{heard.kept}.</p>}
        {heard.note && <p>{heard.note}</p>}
        <dl className={styles.codes}>
          {heard.codes.map(({ system, words: code }) => (
            <div key={system}>
              <dt>{system}</dt>
              <dd>{code}</dd>
            </div>
          ))}
        </dl>
        <div className={styles.actions} data-never-heard>
          {button && facts?.is !== 'fixed' && (
            <Button type={facts?.assigned ? 'default' : 'primary'} onClick={() => onAssign(button)}>
              {say.giveSomethingDo(button.name)}
            </Button>
          )}
          {facts?.is === 'fixed' && <p>{facts.why}</p>}
          {facts && mayChange && <Button onClick={() => onCorrect(facts)}>{say.putRight(facts.name)}</Button>}
          {button && (
            <Button
              disabled={busy}
              onClick={() => void change({ kind: 'take_out', id: button.ref }, say.takenOut(button.name))}
            >
              {say.takeOut(button.name)}
            </Button>
          )}
        </div>
        {mayChange && !bound && heard.kinds.length > 0 && (
          <NewDevice key={heard.source} client={desk.id} heard={heard} />
        )}
        {/* What a stand-in presses is a button already. */}
        {!source.includes('/') && (
          <NameIt
            devices={devices}
            source={source}
            kind={kind}
            known={button?.ref}
            listener={elsewhere?.listener}
          />
        )}
      </div>
    </article>
  )
}
