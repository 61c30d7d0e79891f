import type { Lane } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import styles from './lanes.module.css'
import barsStyles from './bars.module.css'
import { say } from './sentences'

interface Props {
  lane: Lane
  label: string | undefined
  down: boolean
  picked: boolean | undefined
  onPick: ((button: string) => void) | undefined
  onButton: ((button: Lane['button']) => void) | undefined
}

/** What the button is called, what is known of it, and whether it is down. */
export function LaneLabel({ lane, label, down, picked, onPick, onButton }: Props) {
  const mayChange = useMayChange()
  const { button } = lane
  const name = label ?? button.name
  const kept = lane.own.filter((one) => one.kept).map((one) => one.brief)
  const words = (
    <>
      <span>{name}</span>
      {button.off && <small>{say.switchedOff}</small>}
      {kept.length > 0 && <small>{say.also(kept.join(', '))}</small>}
    </>
  )
  return (
    <div className={styles.label}>
      <h4>
        {onButton && mayChange && picked === undefined ? (
          <button type="button" tabIndex={-1} data-stop onClick={() => onButton(button)}>
            {words}
            <span className="seen-by-readers-only">{say.nameTimes}</span>
          </button>
        ) : (
          words
        )}
      </h4>
      {picked !== undefined && (
        <label className={barsStyles.pick}>
          <input
            type="checkbox"
            tabIndex={-1}
            data-stop
            checked={picked}
            aria-label={say.chooseWithFullName(button.full_name)}
            onChange={() => onPick?.(button.ref)}
          />
          {say.choose}
        </label>
      )}
      {down && <p className={styles.down}>{say.down}</p>}
    </div>
  )
}
