import { Button, Input, InputNumber, Select } from 'antd'
import { useState, type FormEvent } from 'react'
import type { Desk, WantFacts } from '../../shared/api'
import { useActions, useChange, useWants } from '../../shared/fitting'
import { Field, SideSheet } from '../../shared/ui'
import { IMPORTANCE, WRONG } from './words'

/** Everything about one want. */
export function WantSheet(props: { desk: Desk; want: string; onClose: () => void }) {
  const wants = useWants(props.desk.id)
  const want = wants.data?.find((one) => one.id === props.want)
  return want ? <Details key={want.id} {...props} want={want} /> : null
}

function Details({ desk, want, onClose }: { desk: Desk; want: WantFacts; onClose: () => void }) {
  const [given, setGiven] = useState(want)
  const actions = useActions()
  const { change, busy } = useChange()
  const isOne = (action: object) => JSON.stringify(action) === JSON.stringify(given.action)
  const chosen = actions.data?.find((one) => isOne(one.action))?.id ?? ''

  const onSubmit = async (event: FormEvent) => {
    event.preventDefault()
    const { id, what, place, hosts, times_a_day, wrong, asked_by, importance, action } = given
    const put = { id, what, place, hosts, times_a_day, wrong, asked_by, importance, action }
    if (await change({ kind: 'want', want: put }, `Changed: ${what}.`)) onClose()
  }
  const remove = async () => {
    if (await change({ kind: 'remove_want', id: want.id }, `Removed: ${want.what}.`)) onClose()
  }
  return (
    <SideSheet title="A want" onClose={onClose}>
      <form onSubmit={(event) => void onSubmit(event)}>
        <Field label="What">
          <Input
            required
            maxLength={120}
            value={given.what}
            onChange={(event) => setGiven({ ...given, what: event.target.value })}
          />
        </Field>
        <Field label="Done by the action">
          <Select
            showSearch
            optionFilterProp="label"
            value={chosen}
            onChange={(id: string) =>
              setGiven({ ...given, action: actions.data?.find((one) => one.id === id)?.action ?? null })
            }
            options={[
              { value: '', label: 'not known yet' },
              ...(actions.data ?? []).map((one) => ({ value: one.id, label: one.name })),
            ]}
          />
        </Field>
        <Field label="Where">
          <Select
            value={given.place}
            onChange={(place: string) => setGiven({ ...given, place })}
            options={desk.places.map((place) => ({ value: place.id, label: place.name }))}
          />
        </Field>
        <Field label="On which hosts" hint="None: on any of them.">
          <Select
            mode="multiple"
            value={given.hosts}
            onChange={(hosts: string[]) => setGiven({ ...given, hosts })}
            options={desk.hosts.map((host) => ({ value: host.id, label: host.name }))}
          />
        </Field>
        <Field label="Times a day">
          <InputNumber
            min={0}
            max={1000}
            precision={0}
            value={given.times_a_day}
            onChange={(times_a_day) => setGiven({ ...given, times_a_day })}
          />
        </Field>
        <Field label="A wrong press">
          <Select
            value={given.wrong}
            options={WRONG}
            onChange={(wrong: WantFacts['wrong']) => setGiven({ ...given, wrong })}
          />
        </Field>
        <Field label="How important">
          <Select
            value={given.importance}
            options={IMPORTANCE}
            onChange={(importance: WantFacts['importance']) => setGiven({ ...given, importance })}
          />
        </Field>
        <Field label="Asked for by">
          <Input
            maxLength={120}
            value={given.asked_by ?? ''}
            onChange={(event) => setGiven({ ...given, asked_by: event.target.value || null })}
          />
        </Field>
        <Button type="primary" htmlType="submit" loading={busy}>
          Save the want
        </Button>
        <Button danger onClick={() => void remove()}>
          Remove the want
        </Button>
      </form>
    </SideSheet>
  )
}
