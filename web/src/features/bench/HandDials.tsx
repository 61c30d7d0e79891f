import { useId } from 'react'
import type { Hands } from '../../shared/api'
import { Range } from '../../shared/ui'
import type { Dials } from './hands'
import { DIALS } from './sentences'
import styles from './hand.module.css'

type Dial = Hands['dials'][number]

interface Props {
  dials: Dial[]
  values: Dials
  onTurn: (id: string, value: number) => void
}

/** What can be turned of a hand. */
export function HandDials({ dials, values, onTurn }: Props) {
  return (
    <div className={styles.dials}>
      {dials.map((dial) => (
        <DialRow key={dial.id} dial={dial} value={values[dial.id] ?? dial.from} onTurn={onTurn} />
      ))}
    </div>
  )
}

function DialRow({ dial, value, onTurn }: { dial: Dial; value: number; onTurn: Props['onTurn'] }) {
  const id = useId()
  const words = `${String(value)} ${dial.unit}`.trim()
  return (
    <div className={styles.dial}>
      <span id={id}>{DIALS[dial.id] ?? dial.id}</span>
      <output>{words}</output>
      <Range
        min={dial.from}
        max={dial.to}
        step={dial.step}
        value={value}
        words={(now) => `${String(now)} ${dial.unit}`.trim()}
        onMove={(next) => onTurn(dial.id, next)}
        aria-labelledby={id}
      />
    </div>
  )
}
