import { Button, Checkbox, Select } from 'antd'
import { useEffect, useState } from 'react'
import type { CatalogueAction } from '../../shared/api'
import { useActions, useCombination, useKeys } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import { combinationOf, modifierOf } from './pressed'
import styles from './assign.module.css'
import { say } from './sentences'

interface Props {
  value: string[]
  onChange: (keys: string[]) => void
  /** Where an app’s own command on it can be taken instead. */
  onInstead?: (action: CatalogueAction) => void
}

/** A key or combination: pressed, or put together from lists. */
export function KeysField({ value, onChange, onInstead }: Props) {
  const [hearing, setHearing] = useState(false)
  const keys = useKeys()
  usePressed(hearing, (pressed) => {
    setHearing(false)
    onChange(pressed)
  })
  const modifiers = keys.filter((key) => key.modifier)
  const main = value.find((key) => !modifiers.some((modifier) => modifier.key === key))
  const chosen = modifiers.filter(({ key }) => value.includes(key)).map(({ key }) => key)
  return (
    <div className={styles.keys}>
      <Button
        type={hearing ? 'primary' : 'default'}
        aria-pressed={hearing}
        onClick={() => setHearing(!hearing)}
        onBlur={() => setHearing(false)}
      >
        {hearing ? say.pressNow : say.pressCombinationYouWant}
      </Button>
      <Checkbox.Group
        aria-label={say.pressedTogetherWith}
        value={chosen}
        options={modifiers.map(({ key, name }) => ({ value: key, label: name }))}
        onChange={(next) => onChange([...next, ...(main ? [main] : [])])}
      />
      <Field label={say.key}>
        <Select
          showSearch
          allowClear
          optionFilterProp="label"
          placeholder={say.noKey}
          value={main ?? null}
          onChange={(next: string | undefined) => onChange([...chosen, ...(next ? [next] : [])])}
          options={keys.filter((key) => !key.modifier).map(({ key, name }) => ({ value: key, label: name }))}
        />
      </Field>
      <WhatItIs keys={value} {...(onInstead && { onInstead })} />
    </div>
  )
}

function WhatItIs({ keys, onInstead }: { keys: string[]; onInstead?: Props['onInstead'] }) {
  const known = useCombination(keys)
  const actions = useActions()
  if (!known) return null
  return (
    <div className={styles.combination} role="status">
      <p>
        <kbd>{known.label}</kbd>
        {known.command && <> {say.mostApps(known.command)}</>}
      </p>
      {known.apps.map((app) => (
        <p key={app.id}>
          {say.inItIs(app.app, app.name)}{' '}
          {onInstead && (
            <Button
              onClick={() => {
                const action = actions.find((one) => one.id === app.id)
                if (action) onInstead(action)
              }}
            >
              {say.useItself(app.name)}
            </Button>
          )}
        </p>
      ))}
      {known.kept && <p className={styles.kept}>{known.kept.why}</p>}
    </div>
  )
}

/** The next combination that is pressed, whatever it would do here. */
function usePressed(hearing: boolean, onPressed: (keys: string[]) => void) {
  useEffect(() => {
    if (!hearing) return undefined
    const onKey = (event: KeyboardEvent) => {
      event.preventDefault()
      event.stopImmediatePropagation()
      const keys = event.type === 'keydown' ? combinationOf(event) : modifierOf(event)
      if (keys && !event.repeat) onPressed(keys)
    }
    window.addEventListener('keydown', onKey, true)
    window.addEventListener('keyup', onKey, true)
    return () => {
      window.removeEventListener('keydown', onKey, true)
      window.removeEventListener('keyup', onKey, true)
    }
  })
}
