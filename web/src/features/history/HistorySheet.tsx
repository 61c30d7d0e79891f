import { OF_PEOPLE } from '../../shared/text'
import { Button } from 'antd'
import { useState } from 'react'
import type { Desk } from '../../shared/api'
import { useChange, useDifferences, useHistory } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { SideSheet } from '../../shared/ui'
import { Compare } from './Compare'
import { NoteForm } from './NoteForm'
import { Words } from './Words'
import styles from './history.module.css'
import { say } from './sentences'

const WHEN = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium', timeStyle: 'short' })

type Saved = NonNullable<ReturnType<typeof useHistory>['data']>['pages'][number]['revisions'][number]

/** Everything that was saved, newest first: what each changed, and the way back to it. */
export function HistorySheet(props: {
  desk: Desk
  onClose: () => void
  onCompare: (compared: { from: number; to: number }) => void
}) {
  const { desk, onClose, onCompare } = props
  const history = useHistory(desk.id)
  const mayChange = useMayChange()
  const revisions = history.data?.pages.flatMap((page) => page.revisions) ?? []
  const [open, setOpen] = useState<number>()
  return (
    <SideSheet title={say.whatWasSaved} onClose={onClose}>
      {history.error && <p role="alert">{history.error.message}</p>}
      {mayChange && <NoteForm />}
      {revisions.length > 1 && (
        <Compare desk={desk} numbers={revisions.map((saved) => saved.number)} onCompare={onCompare} />
      )}
      <ol className={styles.revisions}>
        {revisions.map((saved, index) => (
          <li key={saved.number} data-now={saved.number === desk.revision.number}>
            <Button
              type="text"
              className={styles.head ?? ''}
              aria-expanded={open === saved.number}
              onClick={() => setOpen(open === saved.number ? undefined : saved.number)}
            >
              <strong>{say.revision(String(saved.number))}</strong>
              <span>
                {saved.author}, {WHEN.format(new Date(saved.created_at))}
              </span>
            </Button>
            {saved.note && <p>{saved.note}</p>}
            {saved.evidence && <p className={styles.glance}>{say.restsOn(String(saved.evidence.trials))}</p>}
            {index < GLANCED && open !== saved.number && <Glance client={desk.id} saved={saved} />}
            {open === saved.number && <Details desk={desk} saved={saved} />}
          </li>
        ))}
      </ol>
      {history.hasNextPage && (
        <Button disabled={history.isFetchingNextPage} onClick={() => void history.fetchNextPage()}>
          {say.olderOnes}
        </Button>
      )}
    </SideSheet>
  )
}

/** Of so many of the newest it is said at a glance. */
const GLANCED = 12

/** The first that a revision changed. */
function Glance({ client, saved }: { client: string; saved: Saved }) {
  const words = useDifferences(client, saved.parent ?? undefined, saved.number).data
  const [first, ...more] = words ?? []
  if (!first) return words && saved.note === '' ? <p className={styles.glance}>{say.nothingToSee}</p> : null
  return <p className={styles.glance}>{more.length > 0 ? say.andMore(first ?? '', more.length) : first}</p>
}

function Details({ desk, saved }: { desk: Desk; saved: Saved }) {
  const now = desk.revision.number
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  return (
    <div className={styles.details}>
      {saved.parent !== null && (
        <Words
          title={say.changed}
          client={desk.id}
          from={saved.parent}
          to={saved.number}
          none={say.nothingDiffers}
        />
      )}
      {saved.number !== now && (
        <>
          <Words
            title={say.sinceThen}
            client={desk.id}
            from={saved.number}
            to={now}
            none={say.nothingAsNow}
          />
          {mayChange && (
            <Button
              disabled={busy}
              onClick={() =>
                void change(
                  { step: 'restore', revision: saved.number },
                  say.revisionBack(String(saved.number)),
                )
              }
            >
              {say.bringRevisionBack(String(saved.number))}
            </Button>
          )}
        </>
      )}
    </div>
  )
}
