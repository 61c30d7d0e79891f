import { Link, NavLink } from 'react-router'
import type { Desk } from '../../shared/api'
import { useSaving, type SaveState } from '../../shared/fitting'
import { STEPS } from './steps'
import styles from './desk.module.css'

const TIME = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' })

const SAVE_WORDS: Record<SaveState['kind'], string> = {
  saved: 'saved',
  saving: 'saving …',
  conflict: 'your change is not saved',
  failed: 'your change is not saved',
}

/** Whose desk it is, the steps in the order of the work, and whether all is saved. */
export function Trail({ desk }: { desk: Desk }) {
  const { state } = useSaving()
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
              <NavLink to={`/clients/${desk.id}/${step}`}>{name}</NavLink>
            </li>
          ))}
        </ol>
      </nav>
      <p className={styles.revision} data-save={state.kind}>
        <strong>
          Revision {desk.revision.number}, {SAVE_WORDS[state.kind]}
        </strong>
        <span>{TIME.format(new Date(desk.revision.created_at))}</span>
      </p>
    </header>
  )
}
