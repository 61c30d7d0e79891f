import { InputNumber } from 'antd'
import type { Preview } from '../../shared/api'
import { Field } from '../../shared/ui'
import styles from './confirm.module.css'

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
            Afterwards no button clicks or confirms on {move.host}: {move.lost.join(', ')} did.
          </p>
        ))}
      {asked.length > 0 && (
        <div className={styles.moves}>
          <p>
            Afterwards one confirms with <strong>{asked.flatMap((move) => move.now).join(' or ')}</strong>.
            Press it to keep the change; else it is taken back by itself.
          </p>
          {onSeconds && (
            <Field label="Seconds to confirm">
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
