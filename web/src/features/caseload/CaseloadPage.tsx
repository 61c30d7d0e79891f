import { Button, Input } from 'antd'
import { useDeferredValue, useEffect, useState } from 'react'
import { Link } from 'react-router'
import type { Client } from '../../shared/api'
import { useAccount, useMayChange } from '../../shared/session'
import { Nothing, PageFrame, useAnnounce, useTitle } from '../../shared/ui'
import { openWords, seenWords } from './words'
import { ClientSheet } from './ClientSheet'
import { NewClient } from './NewClient'
import { useCaseload } from './queries'
import styles from './caseload.module.css'
import { say } from './sentences'

/** The clients one may see, last seen first. */
export function CaseloadPage() {
  useTitle('Clients')
  const [search, setSearch] = useState('')
  const caseload = useCaseload(useDeferredValue(search.trim()))
  const mayChange = useMayChange()
  const lead = useAccount().role === 'lead'
  const [chosen, setChosen] = useState<Client>()
  const clients = caseload.data?.pages.flatMap((page) => page.clients) ?? []
  const announce = useAnnounce()
  const count = clients.length
  const loaded = caseload.isSuccess && !caseload.isPlaceholderData
  useEffect(() => {
    if (loaded && search) announce(count === 1 ? '1 client' : say.clients(String(count)))
  }, [announce, count, loaded, search])

  return (
    <PageFrame>
      <div className={styles.columns}>
        <section aria-labelledby="clients-title">
          <div className={styles.head}>
            <h1 id="clients-title">{say.clientsAlone}</h1>
            <Input
              type="search"
              aria-label={say.findClient}
              placeholder={say.findNameDescription}
              value={search}
              onChange={(event) => setSearch(event.target.value)}
            />
          </div>
          {caseload.error && <p role="alert">{caseload.error.message}</p>}
          {loaded && count === 0 && (
            <Nothing>
              {search
                ? say.noClientHasName(search.trim())
                : mayChange
                  ? say.noClientHereYet
                  : say.noClientHasBeen}
            </Nothing>
          )}
          <ul className={styles.list}>
            {clients.map((client) => (
              <li key={client.id}>
                <Link to={`/clients/${client.id}`} className={styles.client}>
                  <strong>{client.name}</strong>
                  <span className={styles.about}>{client.about}</span>
                  <span className={styles.open}>{openWords(client.open)}</span>
                  <span className={styles.seen}>{seenWords(client.seen_at, new Date())}</span>
                </Link>
                {lead && (
                  <Button
                    aria-label={say.dataWithName(client.name)}
                    aria-expanded={chosen?.id === client.id}
                    onClick={() => setChosen(chosen?.id === client.id ? undefined : client)}
                  >
                    {say.data}
                  </Button>
                )}
              </li>
            ))}
          </ul>
          {caseload.hasNextPage && (
            <Button loading={caseload.isFetchingNextPage} onClick={() => void caseload.fetchNextPage()}>
              {say.showMoreClients}
            </Button>
          )}
        </section>
        {chosen ? (
          <ClientSheet key={chosen.id} client={chosen} onClose={() => setChosen(undefined)} />
        ) : (
          mayChange && <NewClient />
        )}
      </div>
    </PageFrame>
  )
}
