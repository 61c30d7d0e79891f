import { Button, Input, Select } from 'antd'
import { useCallback, useState } from 'react'
import { api, must, type Button as ButtonData, type Desk } from '../../shared/api'
import { giveCue } from '../../shared/cues'
import { useChange } from '../../shared/fitting'
import { ButtonField, Faults, Field, SideSheet, useTask } from '../../shared/ui'
import { HandDials } from './HandDials'
import { HandPicture } from './HandPicture'
import { useHandPicture, useHands, type Dials } from './hands'
import { say, WANTED } from './sentences'
import styles from './hand.module.css'

type Wanted = 'tap' | 'double_tap' | 'triple_tap' | 'long_press' | 'rest'

const ASKED: { value: Wanted; label: string }[] = (
  ['tap', 'double_tap', 'triple_tap', 'long_press', 'rest'] as const
).map((value) => ({ value, label: WANTED[value] }))
const TIMES = [1, 3, 10].map((times) => ({
  value: times,
  label: times === 1 ? 'once' : say.times(String(times)),
}))

interface Props {
  desk: Desk
  buttons: ButtonData[]
  onClose: () => void
}

/** A simulated hand presses a button: what it gives comes to the bench as a real press does. */
export function HandSheet({ desk, buttons, onClose }: Props) {
  const { hands, dials } = useHands(desk.id)
  const [hand, setHand] = useState<string>()
  const [turned, setTurned] = useState<Dials>({})
  const [button, setButton] = useState(buttons[0]?.ref)
  const [wanted, setWanted] = useState<Wanted>('tap')
  const [times, setTimes] = useState(1)
  const [seed, setSeed] = useState(1)
  const chosen = hands.find((one) => one.id === hand) ?? hands[0]
  const picture = useHandPicture(desk.id, chosen?.id, turned, seed)
  const press = useTask(
    useCallback(async () => {
      const view = await must(
        api.POST('/api/clients/{client}/hands/presses', {
          params: { path: { client: desk.id } },
          body: {
            hand: chosen?.id ?? '',
            dials: turned,
            button: button ?? '',
            script: Array.from({ length: times }, () => wanted),
            seed,
          },
        }),
      )
      for (const cue of view.cues) giveCue(cue.event, cue.ways, cue.words, view.quiet)
      // The next time it is the same hand, but not the very same presses.
      setSeed((last) => last + 1)
    }, [desk.id, chosen, turned, button, wanted, times, seed]),
  )
  return (
    <SideSheet title={say.standHandAlone} onClose={onClose}>
      <p>{say.simulatedHandPressesAs(desk.name)}</p>
      {chosen && (
        <>
          <Field
            label={say.hand}
            hint={[chosen.says, chosen.source && say.itsFigures(chosen.source)].filter(Boolean).join(' ')}
          >
            <Select
              value={chosen.id}
              onChange={(next) => {
                setHand(next)
                setTurned({})
              }}
              options={hands.map((one) => ({ value: one.id, label: one.name }))}
            />
          </Field>
          <HandPicture picture={picture} />
          <details className={styles.turn}>
            <summary>{say.changeHow}</summary>
            <HandDials
              dials={dials}
              values={{ ...chosen.values, ...turned }}
              onTurn={(id, value) => setTurned((before) => ({ ...before, [id]: value }))}
            />
            <KeepHand key={chosen.id} desk={desk} chosen={chosen} turned={turned} onKept={setHand} />
          </details>
          <ButtonField label={say.button} buttons={buttons} value={button} onChange={setButton} />
          <Field label={say.asked}>
            <Select value={wanted} onChange={setWanted} options={ASKED} />
          </Field>
          <Field label={say.howOften}>
            <Select value={times} onChange={setTimes} options={TIMES} />
          </Field>
          <Faults refused={press.refused} />
          <Button type="primary" loading={press.busy} disabled={!button} onClick={() => void press.run()}>
            {say.letPress}
          </Button>
        </>
      )}
    </SideSheet>
  )
}

/** A hand as it is turned now becomes one of the client’s own; one of those can be thrown away. */
function KeepHand(props: {
  desk: Desk
  chosen: { id: string; name: string; own: boolean }
  turned: Dials
  onKept: (hand: string | undefined) => void
}) {
  const { desk, chosen, turned, onKept } = props
  const [name, setName] = useState(chosen.own ? chosen.name : say.handOf(chosen.name, desk.name))
  const { change, busy } = useChange()
  const keep = () =>
    void change({ kind: 'keep_hand', hand: chosen.id, name: name.trim(), dials: turned }, say.handKept(name))
  return (
    <div className={styles.keepHand}>
      <Field label={say.handName}>
        <Input value={name} maxLength={120} onChange={(event) => setName(event.target.value)} />
      </Field>
      <Button disabled={busy || !name.trim()} onClick={keep}>
        {chosen.own ? say.keepHandChanged : say.keepHand(desk.name)}
      </Button>
      {chosen.own && (
        <Button
          disabled={busy}
          onClick={() => {
            onKept(undefined)
            void change({ kind: 'remove_hand', hand: chosen.id }, say.handRemoved(chosen.name))
          }}
        >
          {say.removeHand}
        </Button>
      )}
    </div>
  )
}
