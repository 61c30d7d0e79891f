import { Button, Radio } from 'antd'
import { useEffect } from 'react'
import { useAnnounce, useEscape } from '../../shared/ui'
import { wordOf, type Carried } from '../assign'
import styles from './lanes.module.css'
import { say } from './sentences'

/** Something is being carried: the next gesture that is chosen gets it. */
export function CarryBar(props: { carried: Carried; onCarry: (carried: Carried | undefined) => void }) {
  const { carried, onCarry } = props
  const announce = useAnnounce()
  const drop = () => onCarry(undefined)
  useEscape(drop)
  useEffect(() => {
    announce(say.carryingChooseGestureGoes(carried.name))
  }, [announce, carried.name])
  return (
    <div className={styles.bar} role="group" aria-label={say.carrying}>
      <p>
        {say.carrying} <strong>“{carried.name}”</strong>{' '}
        {say.fromChooseWhereGoes(carried.button.name, wordOf(carried.gesture))}
      </p>
      <Radio.Group
        aria-label={say.moveCopy}
        optionType="button"
        buttonStyle="solid"
        value={carried.copy}
        onChange={(event) => onCarry({ ...carried, copy: event.target.value as boolean })}
        options={[
          { value: false, label: say.move },
          { value: true, label: say.copy },
        ]}
      />
      <Button onClick={drop}>{say.leaveWhere}</Button>
    </div>
  )
}
