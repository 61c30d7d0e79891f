import { Button } from 'antd'
import type { Desk } from '../../shared/api'
import { useChange, useSaving, useSavingState, type Refusal } from '../../shared/fitting'
import { BothSides, Notice } from '../../shared/ui'
import styles from './desk.module.css'
import { say } from './sentences'

/**
 * What could not be saved is kept here, each until somebody decides; and what was saved and did
 * more than could be seen before. It stays in sight wherever one has scrolled.
 */
export function SaveTrouble({ desk }: { desk: Desk }) {
  const { refused, done } = useSavingState()
  if (refused.length === 0 && !done) return null
  return (
    <div className={styles.trouble}>
      {refused.map((refusal) => (
        <NotSaved key={refusal.id} desk={desk} refusal={refusal} />
      ))}
      <Done />
    </div>
  )
}

function NotSaved({ desk, refusal }: { desk: Desk; refusal: Refusal }) {
  const { queue } = useSaving()
  const { newest, mine = [], theirs = [], detail } = refusal.error.problem
  const again = () => void queue.again(refusal.id, newest?.number ?? desk.revision.number)
  const step = 'step' in refusal.order.made
  return (
    <Notice
      type={newest ? 'warning' : 'error'}
      title={
        newest
          ? say.savedRevisionBetweenShown(newest.author, String(newest.number))
          : `${refusal.error.mayBeSaved ? say.notKnownWhetherThis : say.notSaved} ${refusal.error.message || detail}`
      }
      description={
        newest && theirs.length > 0 && <BothSides author={newest.author} theirs={theirs} mine={mine} />
      }
      action={
        <span className={styles.troubleActions}>
          {!(step && newest) && <Button onClick={again}>{newest ? say.saveMineTop : say.tryAgain}</Button>}
          <Button onClick={() => queue.drop(refusal.id)}>{say.dropMyChange}</Button>
        </span>
      }
    />
  )
}

/** What somebody did in one go, without a look at it before, and the way back. */
function Done() {
  const { queue } = useSaving()
  const { done } = useSavingState()
  const { change } = useChange()
  if (!done) return null
  const { number } = done.revision
  return (
    <Notice
      type="info"
      title={done.told.join(' ')}
      action={
        <span className={styles.troubleActions}>
          <Button
            onClick={() =>
              void change({ step: 'undo', revision: number }, say.revisionTakenBack(String(number)))
            }
          >
            {say.takeBack}
          </Button>
          <Button onClick={queue.forget}>{say.allRight}</Button>
        </span>
      }
    />
  )
}
