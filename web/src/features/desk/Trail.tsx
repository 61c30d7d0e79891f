import { Select } from 'antd'
import type { Desk } from '../../shared/api'
import { useClients, useSaving, type SaveState } from '../../shared/fitting'
import styles from './desk.module.css'

const TIME = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' })

const SAVE_WORDS: Record<SaveState['kind'], string> = {
  saved: 'saved',
  saving: 'saving …',
  conflict: 'your change is not saved',
  failed: 'your change is not saved',
}

interface Props {
  desk: Desk
  onClient: (client: string) => void
}

export function Trail({ desk, onClient }: Props) {
  const clients = useClients()
  const { state } = useSaving()
  const several = (clients.data?.length ?? 0) > 1
  return (
    <header className={styles.trail} data-pane tabIndex={-1} aria-label="Trail">
      <div className={styles.who}>
        <h1>{desk.name}</h1>
        <p>{desk.about}</p>
      </div>
      {several && (
        <Select
          aria-label="Client"
          value={desk.id}
          onChange={onClient}
          options={clients.data?.map((client) => ({ value: client.id, label: client.name }))}
        />
      )}
      <nav aria-label="Steps">
        <ol>
          <li aria-current="step">Assign</li>
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
