import { Button, Checkbox, Input, Select } from 'antd'
import { useState } from 'react'
import type { Desk, WantFacts } from '../../shared/api'
import { useActions, useFormChange, useWants } from '../../shared/fitting'
import { Field, SideSheet, FormOf } from '../../shared/ui'
import { ActionField, choiceOf, meant, type ActionChoice } from '../assign'
import { ImportanceField, PlaceField, TimesField, WrongField, type WantPlace } from './fields'
import { say } from './sentences'

/** Everything about one want. */
export function WantSheet(props: { desk: Desk; want: string; onClose: () => void }) {
  const wants = useWants(props.desk.id)
  const want = wants.data?.find((one) => one.id === props.want)
  return want ? <Details key={want.id} {...props} want={want} /> : null
}

function Details({ desk, want, onClose }: { desk: Desk; want: WantFacts; onClose: () => void }) {
  const [given, setGiven] = useState(want)
  const [place, setPlace] = useState<WantPlace>(want.place)
  const [chosen, setChosen] = useState<ActionChoice>()
  const actions = useActions()
  const { change, busy, refused } = useFormChange()
  const choice = chosen ?? choiceOf(want.action, actions)
  const action = meant(choice)

  const onSubmit = async () => {
    if (action === undefined) return
    const { id, what, hosts, times_a_day, wrong, asked_by, importance } = given
    const second = given.second_way === null ? {} : { second_way: given.second_way }
    const put = { id, what, place, hosts, times_a_day, wrong, asked_by, importance, action, ...second }
    if (await change({ kind: 'want', want: put }, say.changed(what))) onClose()
  }
  const remove = async () => {
    if (await change({ kind: 'remove_want', id: want.id }, say.removed(want.what))) onClose()
  }
  return (
    <SideSheet title={say.want} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <Field label={say.what} at="what">
          <Input
            required
            maxLength={120}
            value={given.what}
            onChange={(event) => setGiven({ ...given, what: event.target.value })}
          />
        </Field>
        <ActionField
          label={say.doneAction}
          value={choice}
          onChange={setChosen}
          otherwise={want.action_name}
        />
        <PlaceField desk={desk} value={place} onChange={setPlace} />
        <Field label={say.whichHosts} hint={say.noneAnyThem} at="hosts">
          <Select
            mode="multiple"
            value={given.hosts}
            onChange={(hosts: string[]) => setGiven({ ...given, hosts })}
            options={desk.hosts.map((host) => ({ value: host.id, label: host.name }))}
          />
        </Field>
        <TimesField
          label={say.timesDay}
          value={given.times_a_day}
          onChange={(times_a_day) => setGiven({ ...given, times_a_day })}
        />
        <WrongField
          label={say.wrongPress}
          value={given.wrong}
          onChange={(wrong) => setGiven({ ...given, wrong })}
        />
        <ImportanceField
          label={say.howImportant}
          value={given.importance}
          onChange={(importance) => setGiven({ ...given, importance })}
        />
        <Checkbox
          checked={given.second_way ?? given.wrong === 'dangerous'}
          onChange={({ target }) => setGiven({ ...given, second_way: target.checked })}
        >
          {say.secondWay}
        </Checkbox>
        <Field label={say.askedFor} at="asked_by">
          <Input
            maxLength={120}
            value={given.asked_by ?? ''}
            onChange={(event) => setGiven({ ...given, asked_by: event.target.value || null })}
          />
        </Field>
        <Button type="primary" htmlType="submit" loading={busy} disabled={action === undefined}>
          {action === undefined ? say.sayRestFirst : say.saveWant}
        </Button>
        <Button danger onClick={() => void remove()}>
          {say.removeWant}
        </Button>
      </FormOf>
    </SideSheet>
  )
}
