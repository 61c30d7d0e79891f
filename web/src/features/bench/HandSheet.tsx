import { useQuery } from '@tanstack/react-query'
import { Button, Select } from 'antd'
import { useCallback, useState } from 'react'
import { api, must, type Button as ButtonData, type Desk } from '../../shared/api'
import { giveCue } from '../../shared/cues'
import { ButtonField, Faults, Field, SideSheet, useTask } from '../../shared/ui'
import { say } from './sentences'

type Wanted = 'tap' | 'double_tap' | 'triple_tap' | 'long_press' | 'rest'

const WANTED: { value: Wanted; label: string }[] = [
  { value: 'tap', label: say.pressOnce },
  { value: 'double_tap', label: say.pressTwice },
  { value: 'triple_tap', label: say.pressThreeTimes },
  { value: 'long_press', label: say.pressKeepDown },
  { value: 'rest', label: say.rest },
]
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
  const hands = useQuery({
    queryKey: ['hands', desk.id],
    queryFn: async () =>
      (await must(api.GET('/api/clients/{client}/hands', { params: { path: { client: desk.id } } }))).hands,
  })
  const [hand, setHand] = useState<string>()
  const [button, setButton] = useState(buttons[0]?.ref)
  const [wanted, setWanted] = useState<Wanted>('tap')
  const [times, setTimes] = useState(1)
  const [seed, setSeed] = useState(1)
  const chosen = hands.data?.find((one) => one.id === hand) ?? hands.data?.[0]
  const press = useTask(
    useCallback(async () => {
      const view = await must(
        api.POST('/api/clients/{client}/hands/presses', {
          params: { path: { client: desk.id } },
          body: {
            hand: chosen?.id ?? '',
            button: button ?? '',
            script: Array.from({ length: times }, () => wanted),
            seed,
          },
        }),
      )
      for (const cue of view.cues) giveCue(cue.event, cue.ways, cue.words, view.quiet)
      // The next time it is the same hand, but not the very same presses.
      setSeed((last) => last + 1)
    }, [desk.id, chosen, button, wanted, times, seed]),
  )
  return (
    <SideSheet title={say.standHandAlone} onClose={onClose}>
      <p>{say.simulatedHandPressesAs(desk.name)}</p>
      {hands.data?.length === 0 && <p>{say.thisFittingDescribesNo}</p>}
      {chosen && (
        <>
          <Field label={say.hand} hint={chosen.source ? say.itsFigures(chosen.source) : undefined}>
            <Select
              value={chosen.id}
              onChange={setHand}
              options={hands.data?.map((one) => ({ value: one.id, label: one.name })) ?? []}
            />
          </Field>
          <ButtonField label={say.button} buttons={buttons} value={button} onChange={setButton} />
          <Field label={say.asked}>
            <Select value={wanted} onChange={setWanted} options={WANTED} />
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
