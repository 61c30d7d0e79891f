import { Alert, Button } from 'antd'
import { useSaving } from '../../shared/fitting'
import styles from './desk.module.css'

/** A change that could not be saved is kept here until somebody decides. */
export function SaveTrouble() {
  const { state, save, dismiss } = useSaving()
  if (state.kind === 'saved' || state.kind === 'saving') return null
  const { change } = state
  const conflict = state.kind === 'conflict'
  const again = () => {
    // A refusal shows here again by itself.
    save(change, conflict ? state.newest.number : undefined).catch(() => undefined)
  }
  return (
    <Alert
      className={styles.trouble}
      type={conflict ? 'warning' : 'error'}
      title={
        conflict
          ? `${state.newest.author} saved revision ${String(state.newest.number)} in between. It is shown now; your change is kept here.`
          : `Not saved. ${state.why}`
      }
      action={
        <span className={styles.troubleActions}>
          <Button onClick={again}>{conflict ? 'Save mine on top of it' : 'Try again'}</Button>
          <Button onClick={dismiss}>Drop my change</Button>
        </span>
      }
    />
  )
}
