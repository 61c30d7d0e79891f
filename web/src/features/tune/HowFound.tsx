import { Button } from 'antd'
import type { FitResult } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { say } from './sentences'
import styles from './tune.module.css'

interface Props {
  result: FitResult
  stale: boolean
  /** Are other presses of the same hand left out? */
  alone: boolean
  onAlone: (alone: boolean) => void
}

/** On which presses it rests, and what must be known of it. */
export function HowFound({ result, stale, alone, onAlone }: Props) {
  const mayChange = useMayChange()
  return (
    <div className={styles.how}>
      <p className={styles.row}>
        {result.rests_on.words}{' '}
        {mayChange && (alone || result.rests_on.beside > 0) && (
          <Button disabled={stale} onClick={() => onAlone(!alone)}>
            {alone ? say.letHelp : say.leaveOut}
          </Button>
        )}
      </p>
      {result.notes.length > 0 && (
        <ul>
          {result.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      )}
    </div>
  )
}
