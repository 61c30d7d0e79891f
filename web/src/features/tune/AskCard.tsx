import { Button, Checkbox } from 'antd'
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
import { Faults, useTask } from '../../shared/ui'
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
  /** Nothing was pressed yet: says what this is. */
  first: boolean
}

/** Begins to ask for presses; or goes on with what was broken off. */
export function AskCard({ desk, button, offered, last, first }: Props) {
  const mayChange = useMayChange()
  const taken = useSittingTaken(desk.id)
  const [chosen, setChosen] = useState<Offered[]>()
  // As it was asked last.
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
  const goOn = useStepping(desk.id, last?.id ?? '')
  if (!mayChange)
    return <p className={styles.quiet}>{first ? `${say.noPressesYet} ${say.viewerOnly}` : say.viewerOnly}</p>
  const toggle = (one: Offered) => {
    const next = asked.includes(one) ? asked.filter((other) => other !== one) : [...asked, one]
    if (next.length > 0) setChosen(sort.filter((sorted) => next.includes(sorted)))
  }
  const choice = (
    <fieldset className={styles.offered}>
      <legend>{say.whatIsAsked}</legend>
      {sort.map((one) => (
        <Checkbox key={one} checked={asked.includes(one)} onChange={() => toggle(one)}>
          {INTENDED[one]}
        </Checkbox>
      ))}
    </fieldset>
  )
  return (
    <div className={styles.ask} data-first={first}>
      {first && <p>{say.about}</p>}
      <div className={styles.row}>
        <Button
          type={first ? 'primary' : 'default'}
          size={first ? 'large' : 'middle'}
          loading={begin.busy}
          onClick={() => void begin.run('prompts', 'client')}
        >
          {first ? say.askForPresses : say.askAnother}
        </Button>
        {last?.way === 'prompts' && last.whose === 'client' && (
          <Button loading={goOn.busy} onClick={() => void goOn.step({ do: 'open' })}>
            {say.goOnWith(whenOf(last.began_at), String(last.counted))}
          </Button>
        )}
        {first && choice}
      </div>
      <details className={styles.more}>
        <summary>{first ? say.otherWays : say.otherWaysToo}</summary>
        {!first && choice}
        <div className={styles.row}>
          <Button onClick={() => void begin.run('by_hand', 'client')}>{say.byHand}</Button>
          <Button onClick={() => void begin.run('prompts', 'specialist')}>{say.anotherFinger}</Button>
          <TakeInFile client={desk.id} button={button.ref} />
        </div>
      </details>
      <Faults refused={begin.refused ?? goOn.refused} />
    </div>
  )
}
