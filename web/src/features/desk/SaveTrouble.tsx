import { Alert, Button } from 'antd'
import type { Change, Desk } from '../../shared/api'
import { useDifferences, usePreview, useSaving, type SaveState } from '../../shared/fitting'
import styles from './desk.module.css'

/** A change that could not be saved is kept here until somebody decides. */
export function SaveTrouble({ desk }: { desk: Desk }) {
  const { state, again, dismiss } = useSaving()
  if (state.kind === 'saved' || state.kind === 'saving') return null
  const conflict = state.kind === 'conflict'
  // A refusal shows here again by itself.
  const repeat = () => void again().catch(() => undefined)
  return (
    <Alert
      className={styles.trouble}
      type={conflict ? 'warning' : 'error'}
      title={
        conflict
          ? `${state.newest.author} saved revision ${String(state.newest.number)} in between. It is shown now; your change is kept here.`
          : `Not saved. ${state.why}`
      }
      description={conflict && <BothSides desk={desk} state={state} />}
      action={
        <span className={styles.troubleActions}>
          <Button onClick={repeat}>{conflict ? 'Save mine on top of it' : 'Try again'}</Button>
          <Button onClick={dismiss}>Drop my change</Button>
        </span>
      }
    />
  )
}

/** What the others saved, and what one's own change would still do on top of it. */
function BothSides({ desk, state }: { desk: Desk; state: Extract<SaveState, { kind: 'conflict' }> }) {
  const theirs = useDifferences(desk.id, state.parent, state.newest.number)
  const own = 'kind' in state.change ? (state.change as Change) : undefined
  const mine = usePreview(desk.id, own, desk.revision.number)
  return (
    <div className={styles.sides}>
      <Side title={`${state.newest.author} changed`} words={theirs.data} />
      {own && (
        <Side
          title="Yours would do"
          words={mine.error ? [`It no longer fits: ${mine.error.message}`] : mine.data?.words}
        />
      )}
    </div>
  )
}

function Side({ title, words }: { title: string; words: string[] | undefined }) {
  return (
    <section aria-label={title}>
      <h3>{title}</h3>
      <ul>
        {(words ?? []).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
        {words?.length === 0 && <li>nothing that differs now</li>}
      </ul>
    </section>
  )
}
