import { Button } from 'antd'
import type { Shortlist, Where } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Nothing } from '../../shared/ui'
import { say } from './sentences'
import { ShortlistLines } from './ShortlistLines'
import styles from './where.module.css'
import modesStyles from './modes.module.css'

/** The shortlists of a client, their lines in an order that can be changed. */
export function ShortlistsView({ where, onSheet }: { where: Where; onSheet: (sheet: SheetAddress) => void }) {
  const mayChange = useMayChange()
  return (
    <>
      <div className={styles.bar}>
        <p>{say.shortlistsAbout}</p>
        {mayChange && <Button onClick={() => onSheet({ of: 'new-shortlist' })}>{say.addShortlist}</Button>}
      </div>
      {where.shortlists.length === 0 && <Nothing>{say.noShortlistYet}</Nothing>}
      <ul className={styles.list}>
        {where.shortlists.map((list) => (
          <ShortlistCard
            key={list.id}
            list={list}
            host={where.hosts.find((host) => host.id === list.host)}
            onSheet={onSheet}
          />
        ))}
      </ul>
    </>
  )
}

interface CardProps {
  list: Shortlist
  host: Where['hosts'][number] | undefined
  onSheet: (sheet: SheetAddress) => void
}

function ShortlistCard({ list, host, onSheet }: CardProps) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  const move = async (from: number, to: number) => {
    const items = list.items.map(({ action, given }) => ({ action, name: given }))
    const [line] = items.splice(from, 1)
    if (!line || to < 0 || to > items.length) return
    items.splice(to, 0, line)
    const said = say.moved(list.items[from]?.name ?? '', to + 1)
    await change({ kind: 'shortlist', shortlist: { id: list.id, items } }, said)
  }
  const works = list.works === 'step' ? say.worksStep : say.worksOpen(host?.choose ?? '')
  const about = [
    host?.name,
    host && say.shows(list.items.length, host.most),
    list.locked && say.lockedWord,
    works,
  ]
  return (
    <li className={styles.card}>
      <div className={styles.row}>
        <p>
          <strong>{list.name}</strong>
          <small>{about.filter(Boolean).join(' · ')}</small>
        </p>
        {mayChange && (
          <>
            <Button
              aria-label={say.openWithOf(list.name)}
              onClick={() => onSheet({ of: 'open-shortlist', id: list.id })}
            >
              {say.openWith}
            </Button>
            <Button
              aria-label={say.changeOf(list.name)}
              onClick={() => onSheet({ of: 'shortlist', id: list.id })}
            >
              {say.change}
            </Button>
          </>
        )}
      </div>
      <ShortlistLines
        list={list}
        most={host?.most ?? list.items.length}
        frozen={!mayChange || busy}
        onMove={(from, to) => void move(from, to)}
      />
      <p className={modesStyles.quiet}>
        {list.opened_by.length > 0 ? say.openedByAll(list.opened_by.join(' · ')) : say.openedByNothing}
      </p>
    </li>
  )
}
