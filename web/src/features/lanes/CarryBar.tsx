import { Button, Radio } from 'antd'
import { useEffect } from 'react'
import { useAnnounce, useEscape } from '../../shared/ui'
import { wordOf, type Carried } from '../assign'
import styles from './lanes.module.css'

/** Something is being carried: the next gesture that is chosen gets it. */
export function CarryBar(props: { carried: Carried; onCarry: (carried: Carried | undefined) => void }) {
  const { carried, onCarry } = props
  const announce = useAnnounce()
  const drop = () => onCarry(undefined)
  useEscape(drop)
  useEffect(() => {
    announce(`Carrying “${carried.name}”. Choose the gesture it goes to, or press Escape.`)
  }, [announce, carried.name])
  return (
    <div className={styles.bar} role="group" aria-label="Carrying">
      <p>
        Carrying <strong>“{carried.name}”</strong> from {carried.button.name}, {wordOf(carried.gesture)}:
        choose where it goes.
      </p>
      <Radio.Group
        aria-label="Move or copy"
        optionType="button"
        buttonStyle="solid"
        value={carried.copy}
        onChange={(event) => onCarry({ ...carried, copy: event.target.value as boolean })}
        options={[
          { value: false, label: 'Move' },
          { value: true, label: 'Copy' },
        ]}
      />
      <Button onClick={drop}>Leave it where it is</Button>
    </div>
  )
}
