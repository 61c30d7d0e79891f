import { Button, Select } from 'antd'
import { useState } from 'react'
import type { Desk } from '../../shared/api'
import { Field } from '../../shared/ui'
import { Words } from './Words'
import styles from './history.module.css'

/** Any two revisions side by side: in words here, and in the lanes. */
export function Compare(props: {
  desk: Desk
  numbers: number[]
  onCompare: (compared: { from: number; to: number }) => void
}) {
  const { desk, numbers, onCompare } = props
  const now = desk.revision.number
  const [chosenFrom, setFrom] = useState<number>()
  const [chosenTo, setTo] = useState<number>()
  const from = chosenFrom ?? Math.max(1, now - 1)
  const to = chosenTo ?? now
  const options = numbers.map((number) => ({ value: number, label: `Revision ${String(number)}` }))
  return (
    <section className={styles.compare} aria-label="Compare two">
      <h3>Compare two</h3>
      <div className={styles.two}>
        <Field label="From">
          <Select value={from} options={options} onChange={setFrom} />
        </Field>
        <Field label="To">
          <Select value={to} options={options} onChange={setTo} />
        </Field>
      </div>
      {from === to ? (
        <p>That is the same one.</p>
      ) : (
        <>
          <Words title="What differs" client={desk.id} from={from} to={to} none="nothing" />
          <Button onClick={() => onCompare({ from, to })}>Show both in the lanes</Button>
        </>
      )}
    </section>
  )
}
