import { either } from '../../shared/text'
import { InputNumber } from 'antd'
import type { Preview } from '../../shared/api'
import { Field } from '../../shared/ui'
import styles from './confirm.module.css'
import { say } from './sentences'

const LEAST_S = 5
const MOST_S = 600

/** Where the button one confirms with becomes another: which, and how long one has. */
export function Moves(props: {
  moves: Preview['moves']
  seconds: number
  /** Without it the time stands as it is. */
  onSeconds?: (seconds: number) => void
}) {
  const { moves, seconds, onSeconds } = props
  const asked = moves.filter((move) => move.now.length > 0)
  return (
    <>
      {moves
        .filter((move) => move.now.length === 0)
        .map((move) => (
          <p key={move.host} className={styles.noWay}>
            {say.afterwardsNoButtonClicks(move.host, move.lost.join(', '))}
          </p>
        ))}
      {asked.length > 0 && (
        <div className={styles.moves}>
          <p>{say.afterwardsOneConfirmsWith(either(asked.flatMap((move) => move.now)))}</p>
          {onSeconds && (
            <Field label={say.secondsConfirm}>
              <InputNumber
                min={LEAST_S}
                max={MOST_S}
                precision={0}
                value={seconds}
                onChange={(next) => onSeconds(next ?? seconds)}
              />
            </Field>
          )}
        </div>
      )}
    </>
  )
}
