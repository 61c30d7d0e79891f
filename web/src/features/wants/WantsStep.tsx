import { Button } from 'antd'
import type { Desk, WantFacts } from '../../shared/api'
import { useWants } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Nothing, StepFrame } from '../../shared/ui'
import { NewWant } from './NewWant'
import { IMPORTANCE, stateWords, timesWords, wrongWords } from './words'
import styles from './wants.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  chosen: string | undefined
  onChoose: (want: string) => void
  /** Leads to the lanes with its action in hand. */
  onGive: (want: WantFacts) => void
}

/** What the client wants to be able to do. */
export function WantsStep({ desk, chosen, onChoose, onGive }: Props) {
  const wants = useWants(desk.id)
  const mayChange = useMayChange()
  const count = wants.data?.length ?? 0
  const open = (wants.data ?? []).filter((want) => want.state !== 'done').length
  return (
    <StepFrame
      title={say.whatWantsDo(desk.name)}
      stands={count === 0 ? undefined : open === 0 ? say.everyWantHasButton : say.open(open, count)}
    >
      {mayChange && <NewWant />}
      {wants.error && <p role="alert">{wants.error.message}</p>}
      {wants.data?.length === 0 && <Nothing>{say.nothingWrittenDownYet}</Nothing>}
      <ol className={styles.wants}>
        {(wants.data ?? []).map((want) => (
          <WantRow
            key={want.id}
            desk={desk}
            want={want}
            chosen={want.id === chosen}
            onChoose={mayChange ? () => onChoose(want.id) : undefined}
            onGive={mayChange && want.state === 'open' ? () => onGive(want) : undefined}
          />
        ))}
      </ol>
    </StepFrame>
  )
}

function WantRow(props: {
  desk: Desk
  want: WantFacts
  chosen: boolean
  onChoose: (() => void) | undefined
  onGive: (() => void) | undefined
}) {
  const { desk, want, chosen, onChoose, onGive } = props
  const place = desk.places.find((one) => one.id === want.place)
  const hosts = desk.hosts.filter((host) => want.hosts.includes(host.id)).map((host) => host.name)
  const where = [
    place && place.id !== 'everywhere' ? say.inIt(place.name) : undefined,
    hosts.length > 0 ? say.at(hosts.join(', ')) : undefined,
  ].filter((part) => part !== undefined)
  return (
    <li className={styles.want} data-state={want.state} data-chosen={chosen}>
      <div className={styles.what}>
        <strong>{want.what}</strong>
        <span>
          {[
            IMPORTANCE.find((one) => one.value === want.importance)?.label,
            timesWords(want),
            wrongWords(want),
            ...where,
            want.asked_by && say.askedForBy(want.asked_by),
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </div>
      <div className={styles.state}>
        <strong>{stateWords(want)}</strong>
        <span>
          {want.ways.length > 0
            ? [
                ...want.ways.map((way) => way.words),
                ...(want.more_ways > 0 ? [say.moreWays(String(want.more_ways))] : []),
              ].join('; ')
            : want.action_name && say.meant(want.action_name)}
        </span>
      </div>
      <div className={styles.actions}>
        {onGive && (
          <Button type="primary" aria-label={say.giveButtonWithWhat(want.what)} onClick={onGive}>
            {say.giveButton}
          </Button>
        )}
        {onChoose && (
          <Button aria-label={say.changeWant(want.what)} onClick={onChoose}>
            {say.change}
          </Button>
        )}
      </div>
    </li>
  )
}
