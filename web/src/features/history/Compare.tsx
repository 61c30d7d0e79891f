import { Button, Select } from 'antd'
import { useState } from 'react'
import type { Desk } from '../../shared/api'
import { Field } from '../../shared/ui'
import { Words } from './Words'
import styles from './history.module.css'
import { say } from './sentences'

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
  const options = numbers.map((number) => ({ value: number, label: say.revision(String(number)) }))
  return (
    <section className={styles.compare} aria-label={say.compareTwo}>
      <h3>{say.compareTwo}</h3>
      <div className={styles.two}>
        <Field label={say.from}>
          <Select value={from} options={options} onChange={setFrom} />
        </Field>
        <Field label={say.to}>
          <Select value={to} options={options} onChange={setTo} />
        </Field>
      </div>
      {from === to ? (
        <p>{say.thatSameOne}</p>
      ) : (
        <>
          <Words title={say.whatDiffers} client={desk.id} from={from} to={to} none={say.nothingDiffers} />
          <Button onClick={() => onCompare({ from, to })}>{say.showBothLanes}</Button>
        </>
      )}
    </section>
  )
}
