import { Button } from 'antd'
import { useEffect, useRef } from 'react'
import { Link, NavLink } from 'react-router'
import type { Desk } from '../../shared/api'
import { useSaving, type SaveState } from '../../shared/fitting'
import { useAccount, useMayChange } from '../../shared/session'
import { useAnnounce } from '../../shared/ui'
import { useSteps } from '../history'
import { STEPS, type Step } from './steps'
import styles from './desk.module.css'

const TIME = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' })

const SAVE_WORDS: Record<SaveState['kind'], string> = {
  saved: 'saved',
  saving: 'saving …',
  conflict: 'your change is not saved',
  failed: 'your change is not saved',
}

/** What is still missing in a step. */
const OPEN_OF: Record<Step, (open: Desk['open']) => number> = {
  wants: (open) => open.wants ?? 0,
  devices: (open) => open.steps ?? 0,
  assign: () => 0,
}

function OpenCount({ count }: { count: number }) {
  if (count === 0) return null
  return (
    <span className={styles.count}>
      {count}
      <span className="seen-by-readers-only"> open</span>
    </span>
  )
}

/** Whose desk it is, the steps in the order of the work, and whether all is saved. */
export function Trail({ desk, onHistory }: { desk: Desk; onHistory: () => void }) {
  const { state } = useSaving()
  const { undo, redo } = useSteps(desk.id)
  const mayChange = useMayChange()
  const me = useAccount().name
  const { author, number } = desk.revision
  const announce = useAnnounce()
  const seen = useRef(number)
  // Whoever else saves: it is shown at once, and said.
  useEffect(() => {
    if (seen.current !== number && author !== me) announce(`${author} saved revision ${String(number)}.`)
    seen.current = number
  }, [number, author, me, announce])
  return (
    <header className={styles.trail} data-pane tabIndex={-1} aria-label="Trail">
      <Link className={styles.back} to="/">
        <span aria-hidden="true">‹ </span>Clients
      </Link>
      <div className={styles.who}>
        <h1>{desk.name}</h1>
        <p>{desk.about}</p>
      </div>
      <nav aria-label="Steps">
        <ol>
          {STEPS.map(({ step, name }) => (
            <li key={step}>
              <NavLink to={`/clients/${desk.id}/${step}`}>
                {name}
                <OpenCount count={OPEN_OF[step](desk.open)} />
              </NavLink>
            </li>
          ))}
        </ol>
      </nav>
      {mayChange && (
        <div className={styles.undo}>
          <Button ghost disabled={!undo} aria-keyshortcuts="Control+Z" onClick={undo}>
            Undo
          </Button>
          <Button ghost disabled={!redo} aria-keyshortcuts="Control+Shift+Z" onClick={redo}>
            Redo
          </Button>
        </div>
      )}
      <button type="button" className={styles.revision} data-save={state.kind} onClick={onHistory}>
        <strong>
          Revision {desk.revision.number}, {SAVE_WORDS[state.kind]}
        </strong>
        <span>
          {TIME.format(new Date(desk.revision.created_at))}
          {author !== me && `, ${author}`}
        </span>
      </button>
    </header>
  )
}
