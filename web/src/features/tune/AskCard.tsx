import { Button } from 'antd'
import { useCallback, useState } from 'react'
import {
  api,
  must,
  type Button as ButtonData,
  type Desk,
  type Offered,
  type SittingSummary,
} from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { Faults, Tick, useTask } from '../../shared/ui'
import { Folded } from './Folded'
import { useSittingTaken, useStepping } from './queries'
import { whenOf } from './PressesField'
import { INTENDED, say } from './sentences'
import { TakeInFile } from './TakeInFile'
import styles from './tune.module.css'

const GESTURES: Offered[] = ['tap', 'double_tap', 'triple_tap', 'long_press']
const CLICKS: Offered[] = ['click', 'double_click', 'drag']

interface Props {
  desk: Desk
  button: ButtonData
  offered: Offered[]
  /** The last sitting with this button. */
  last: SittingSummary | undefined
}

/** What is asked, as it was asked last; and what begins to ask. */
function useAsking({ desk, button, offered, last }: Props) {
  const taken = useSittingTaken(desk.id)
  const [chosen, setChosen] = useState<Offered[]>()
  const asked = chosen ?? (last && last.whose === 'client' ? last.offered : offered)
  const sort = asked.some((one) => CLICKS.includes(one)) ? CLICKS : GESTURES
  const begin = useTask(
    useCallback(
      async (way: 'prompts' | 'by_hand', whose: 'client' | 'specialist') => {
        const body = { button: button.ref, way, whose, offered: asked }
        taken(
          await must(
            api.POST('/api/clients/{client}/sittings', { params: { path: { client: desk.id } }, body }),
          ),
        )
      },
      [button.ref, asked, desk.id, taken],
    ),
  )
  const toggle = (one: Offered) => {
    const next = asked.includes(one) ? asked.filter((other) => other !== one) : [...asked, one]
    if (next.length > 0) setChosen(sort.filter((sorted) => next.includes(sorted)))
  }
  const choice = (
    <fieldset className={styles.offered}>
      <legend>{say.whatIsAsked}</legend>
      {sort.map((one) => (
        <Tick key={one} checked={asked.includes(one)} onTick={() => toggle(one)}>
          {INTENDED[one]}
        </Tick>
      ))}
    </fieldset>
  )
  return { begin, choice }
}

/** Where nothing was pressed yet: says what this is, and begins. */
export function AskCard(props: Props) {
  const mayChange = useMayChange()
  const { begin, choice } = useAsking(props)
  if (!mayChange) return <p className={styles.quiet}>{`${say.noPressesYet} ${say.viewerOnly}`}</p>
  return (
    <div className={styles.ask}>
      <p>{say.about}</p>
      <div className={styles.row}>
        <Button
          type="primary"
          size="large"
          loading={begin.busy}
          onClick={() => void begin.run('prompts', 'client')}
        >
          {say.askForPresses}
        </Button>
        {choice}
      </div>
      <Folded title={say.otherWays}>
        <Ways {...props} begin={begin} />
      </Folded>
      <Faults refused={begin.refused} />
    </div>
  )
}

/** Goes on with what was broken off, or asks once more, as it was asked last. */
export function AskAnew(props: Props) {
  const { desk, last } = props
  const { begin } = useAsking(props)
  const goOn = useStepping(desk.id, last?.id ?? '')
  if (!useMayChange()) return null
  return (
    <>
      {last?.way === 'prompts' && last.whose === 'client' && (
        <Button
          loading={goOn.busy}
          aria-label={say.goOnWith(whenOf(last.began_at), String(last.counted))}
          onClick={() => void goOn.step({ do: 'open' })}
        >
          {say.goOn}
        </Button>
      )}
      <Button loading={begin.busy} onClick={() => void begin.run('prompts', 'client')}>
        {say.askAnother}
      </Button>
      <Faults refused={begin.refused ?? goOn.refused} />
    </>
  )
}

/** Asks for other gestures, or comes to presses in another way. */
export function OtherWays(props: Props) {
  const mayChange = useMayChange()
  const { begin, choice } = useAsking(props)
  if (!mayChange) return <p className={styles.quiet}>{say.viewerOnly}</p>
  return (
    <>
      <div className={styles.row}>
        <Button loading={begin.busy} onClick={() => void begin.run('prompts', 'client')}>
          {say.askOtherwise}
        </Button>
        {choice}
      </div>
      <Ways {...props} begin={begin} />
      <Faults refused={begin.refused} />
    </>
  )
}

function Ways({ desk, button, begin }: Props & Pick<ReturnType<typeof useAsking>, 'begin'>) {
  return (
    <div className={styles.row}>
      <Button onClick={() => void begin.run('by_hand', 'client')}>{say.byHand}</Button>
      <Button onClick={() => void begin.run('prompts', 'specialist')}>{say.anotherFinger}</Button>
      <TakeInFile client={desk.id} button={button.ref} />
    </div>
  )
}
