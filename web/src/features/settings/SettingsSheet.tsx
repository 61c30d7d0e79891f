import { Button, InputNumber, Select } from 'antd'
import { useRef } from 'react'
import type { Desk, Setting } from '../../shared/api'
import { useChange, useSettings } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Field, SideSheet } from '../../shared/ui'
import styles from './settings.module.css'
import { say } from './sentences'

export interface SettingsOf {
  of: 'host' | 'device'
  id: string
}

/** What can be set of a host or device besides its buttons: what it is good for, and what it costs. */
export function SettingsSheet(props: { desk: Desk; about: SettingsOf; onClose: () => void }) {
  const { desk, about, onClose } = props
  const answer = useSettings(desk.id)
  const found = answer.data?.find((one) => one.of === about.of && one.id === about.id)
  return (
    <SideSheet title={say.settings(found?.name ?? '…')} onClose={onClose}>
      {answer.error && <p role="alert">{answer.error.message}</p>}
      {found?.settings.length === 0 && <p>{say.thereNothingSetBut}</p>}
      {found?.settings.map((setting) => (
        <One key={setting.id} about={about} setting={setting} />
      ))}
    </SideSheet>
  )
}

function One({ about, setting }: { about: SettingsOf; setting: Setting }) {
  const { change, busy } = useChange()
  const mayChange = useMayChange()
  const set = (value: Setting['value']) =>
    void change({ kind: 'setting', ...about, setting: setting.id, value }, say.set(setting.name))
  return (
    <section className={styles.one} aria-label={setting.name}>
      <Field label={setting.name} hint={setting.value === null ? say.notSetUsual(usual(setting)) : undefined}>
        <Control setting={setting} disabled={!mayChange || busy} onSet={set} />
      </Field>
      <p>{setting.good_for}</p>
      <p>
        <strong>{say.costs}</strong> {setting.costs}
      </p>
      {setting.value !== null && mayChange && (
        <Button aria-label={say.leaveAsCameWithName(setting.name)} disabled={busy} onClick={() => set(null)}>
          {say.leaveAsCame}
        </Button>
      )}
    </section>
  )
}

function choices(setting: Setting) {
  if (setting.type === 'choice' || setting.type === 'buttons') {
    return (setting.choices ?? []).map((one) => ({ value: one.value, label: one.words }))
  }
  return [
    { value: 'on', label: say.on },
    { value: 'off', label: say.off },
  ]
}

const shown = (value: Setting['value']) => (typeof value === 'boolean' ? (value ? 'on' : 'off') : value)

function usual(setting: Setting): string {
  if (setting.type === 'buttons') return say.allOfThem
  const value = shown(setting.usual)
  return String(setting.choices?.find((one) => one.value === value)?.words ?? value)
}

function Control(props: {
  setting: Setting
  disabled: boolean
  onSet: (value: Setting['value']) => void
  id?: string
}) {
  const { setting, disabled, onSet, ...field } = props
  if (setting.type === 'buttons') {
    return (
      <Select
        {...field}
        mode="multiple"
        disabled={disabled}
        placeholder={say.allOfThem}
        value={(setting.value as string[] | null) ?? []}
        options={choices(setting)}
        onChange={(value: string[]) => onSet(value.length > 0 ? value : null)}
      />
    )
  }
  if (setting.type === 'number') {
    return <Figure key={String(setting.value)} {...props} />
  }
  return (
    <Select
      {...field}
      disabled={disabled}
      placeholder={usual(setting)}
      value={shown(setting.value) as string | null}
      options={choices(setting)}
      onChange={(value: string) => onSet(setting.type === 'flag' ? value === 'on' : value)}
    />
  )
}

/** A number; saved at Enter, at a step, or when the field is left, once. */
function Figure(props: Parameters<typeof Control>[0]) {
  const { setting, disabled, onSet, ...field } = props
  const sent = useRef(setting.value)
  const commit = (text: string) => {
    const value = Number(text)
    if (text === '' || Number.isNaN(value) || value === sent.current) return
    sent.current = value
    onSet(value)
  }
  return (
    <InputNumber
      {...field}
      disabled={disabled}
      min={setting.from ?? 0}
      max={setting.to ?? 1000}
      step={setting.step ?? 1}
      precision={0}
      className={styles.figure ?? ''}
      suffix={setting.unit}
      placeholder={String(setting.usual)}
      {...(setting.value === null ? {} : { defaultValue: setting.value as number })}
      onBlur={(event) => commit(event.target.value)}
      onPressEnter={(event) => commit((event.target as HTMLInputElement).value)}
      onStep={(value) => commit(String(value))}
    />
  )
}
