import { Select } from 'antd'
import { useState } from 'react'
import type { Button as ButtonData, Desk } from '../../shared/api'
import { useAnswers, type Spot } from '../../shared/fitting'
import { ButtonField, Field, GestureMark, SideSheet } from '../../shared/ui'
import { say } from './sentences'
import styles from './where.module.css'

/** What a press would do, there, in this mode, and why. */
export function AnswersSheet(props: {
  desk: Desk
  buttons: ButtonData[]
  spot: Spot
  onSpot: (spot: Spot) => void
  onClose: () => void
}) {
  const { desk, buttons, spot, onSpot, onClose } = props
  const [button, setButton] = useState(buttons[0]?.ref)
  const answers = useAnswers(desk.id, button, spot)
  return (
    <SideSheet title={say.answersTitle} onClose={onClose}>
      <p>{say.answersAbout}</p>
      <ButtonField label={say.button} buttons={buttons} value={button} onChange={setButton} />
      <Field label={say.place}>
        <Select
          value={spot.place}
          onChange={(place) => onSpot({ ...spot, place })}
          options={desk.places.map((one) => ({ value: one.id, label: one.name }))}
        />
      </Field>
      <Field label={say.mode}>
        <Select
          value={spot.mode}
          onChange={(mode) => onSpot({ ...spot, mode })}
          options={desk.modes.map((one) => ({ value: one.id, label: one.name }))}
        />
      </Field>
      {answers.error && <p role="alert">{answers.error.message}</p>}
      <ul className={styles.answers} aria-live="polite">
        {answers.data?.answers.map((one) => (
          <li key={one.gesture}>
            <p>
              <GestureMark gesture={one.gesture} /> {one.gesture_name}
              {' → '}
              <strong>{one.name ?? say.nothing}</strong>
              {one.wait && <small>{one.wait}</small>}
            </p>
            {one.why.map((words) => (
              <p key={words}>{words}</p>
            ))}
          </li>
        ))}
      </ul>
    </SideSheet>
  )
}
