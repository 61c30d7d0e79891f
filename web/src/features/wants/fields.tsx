import { InputNumber, Select } from 'antd'
import type { Desk, Want, WantFacts } from '../../shared/api'
import { Field } from '../../shared/ui'
import { IMPORTANCE, WRONG } from './words'
import { say } from './sentences'

interface Of<Value> {
  label: string
  value: Value
  onChange: (value: Value) => void
}

export function TimesField({ label, value, onChange }: Of<number | null>) {
  return (
    <Field label={label}>
      <InputNumber min={0} max={1000} precision={0} value={value} onChange={onChange} />
    </Field>
  )
}

export function WrongField({ label, value, onChange }: Of<WantFacts['wrong']>) {
  return (
    <Field label={label}>
      <Select value={value} options={WRONG} onChange={onChange} />
    </Field>
  )
}

export function ImportanceField({ label, value, onChange }: Of<WantFacts['importance']>) {
  return (
    <Field label={label}>
      <Select value={value} options={IMPORTANCE} onChange={onChange} />
    </Field>
  )
}

/** One of the client’s places, or an app as a whole. */
export type WantPlace = NonNullable<Want['place']>

/** Where it is wanted: in every app, in a place there is, or in an app that is none yet. */
export function PlaceField({ desk, value, onChange }: { desk: Desk } & Omit<Of<WantPlace>, 'label'>) {
  const placed = desk.places.map((place) => place.whole_app)
  const apps = desk.apps.filter((app) => !placed.includes(app.id))
  const APP = 'app:'
  return (
    <Field label={say.where} at="place">
      <Select
        showSearch
        optionFilterProp="label"
        value={typeof value === 'string' ? value : `${APP}${String(value.app)}`}
        onChange={(next: string) => onChange(next.startsWith(APP) ? { app: next.slice(APP.length) } : next)}
        options={[
          ...desk.places.map((place) => ({ value: place.id, label: place.name })),
          ...apps.map((app) => ({ value: `${APP}${app.id}`, label: say.inIt(app.name) })),
        ]}
      />
    </Field>
  )
}
