import { Checkbox, Input } from 'antd'
import { useState } from 'react'
import type { Where } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { say } from './sentences'
import styles from './where.module.css'

type Quiet = Where['cues']['quiet']

const USUAL = { from: '21:00', to: '07:00' }

/** When nothing is to be heard. */
export function QuietHours({ quiet, mayChange }: { quiet: Quiet; mayChange: boolean }) {
  const { change } = useChange()
  const [given, setGiven] = useState<Partial<typeof USUAL>>({})
  const shown = { ...USUAL, ...quiet, ...given }
  const set = (next: Quiet) => {
    setGiven({})
    void change({ kind: 'cues', cues: { quiet: next } }, say.quietChanged)
  }
  const field = (end: 'from' | 'to', label: string) => (
    <label className={styles.time}>
      {label}
      <Input
        type="time"
        disabled={!mayChange || !quiet}
        value={shown[end]}
        onChange={(event) => setGiven({ ...given, [end]: event.target.value })}
        onBlur={() => {
          if (quiet && given[end] && given[end] !== quiet[end]) set(shown)
        }}
      />
    </label>
  )
  return (
    <div className={styles.bar}>
      <Checkbox
        disabled={!mayChange}
        checked={quiet !== null}
        onChange={({ target }) => set(target.checked ? USUAL : null)}
      >
        {say.quiet}
      </Checkbox>
      {field('from', say.quietFrom)}
      {field('to', say.quietTo)}
    </div>
  )
}
