import { Button } from 'antd'
import { useCallback, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, must, type ServiceKind } from '../../shared/api'
import { DeviceDrawing, Faults, Nothing, PageFrame, useAnnounce, useTask, useTitle } from '../../shared/ui'
import { BeginKind } from './BeginKind'
import type { KindDocument } from './document'
import { KindEditor } from './KindEditor'
import styles from './kinds.module.css'
import { HostsEditor } from './HostsEditor'
import { useAsked, useServiceHosts, useServiceKind, useServiceKinds } from './queries'
import { say } from './sentences'

/** The kinds of device that a service keeps: made, changed, given away, taken away. */
export function KindsPage() {
  useTitle(say.kinds)
  const { kind: id } = useParams()
  const navigate = useNavigate()
  const kept = useServiceKinds()
  const document = useServiceKind(id === 'hosts' ? undefined : id)
  const hosts = useServiceHosts().data
  const [begun, setBegun] = useState<KindDocument>()
  const chosen = kept.data?.kinds.find((one) => one.id === id)
  const close = () => {
    setBegun(undefined)
    void navigate('/kinds')
  }
  return (
    <PageFrame>
      <div className={styles.page}>
        <section aria-labelledby="kinds-title">
          <h1 id="kinds-title">{say.kinds}</h1>
          <p>{say.about}</p>
          {kept.error && <p role="alert">{kept.error.message}</p>}
          {kept.data?.kinds.length === 0 && <Nothing>{say.none}</Nothing>}
          <ul className={styles.list}>
            {(kept.data?.kinds ?? []).map((one) => (
              <KindRow key={one.id} kind={one} chosen={one.id === id} onGone={close} />
            ))}
          </ul>
          <p className={styles.row} data-chosen={id === 'hosts'}>
            <Link to="/kinds/hosts" aria-current={id === 'hosts'}>
              {say.hostsOfService}
            </Link>
            <a href="/api/service/kinds/hosts" download="hosts.json" hidden={!hosts?.edition}>
              {say.hostsAsFile}
            </a>
          </p>
          {kept.data && (
            <BeginKind
              blank={kept.data.blank as KindDocument}
              onBegun={(made) => {
                void navigate('/kinds')
                setBegun(made)
              }}
            />
          )}
        </section>
        {kept.data && begun && !id && (
          <KindEditor key="new" document={begun} kept={kept.data} onClose={close} />
        )}
        {id === 'hosts' && hosts && <HostsEditor key={String(hosts.edition)} hosts={hosts} onClose={close} />}
        {document.error && <p role="alert">{document.error.message}</p>}
        {kept.data && id && document.data && chosen && (
          <KindEditor
            key={`${id} ${String(document.dataUpdatedAt)}`}
            document={document.data}
            edition={chosen.edition}
            kept={kept.data}
            onClose={close}
          />
        )}
      </div>
    </PageFrame>
  )
}

function KindRow({ kind, chosen, onGone }: { kind: ServiceKind; chosen: boolean; onGone: () => void }) {
  const asked = useAsked()
  const announce = useAnnounce()
  const away = useTask(
    useCallback(async () => {
      const path = { shelf: kind.id }
      await must(
        api.DELETE('/api/service/kinds/{shelf}', { params: { path, query: { opened_on: kind.edition } } }),
      )
      announce(say.isGone(kind.name))
      onGone()
      await asked()
    }, [kind, announce, asked, onGone]),
  )
  return (
    <li className={styles.row} data-chosen={chosen}>
      <Link to={`/kinds/${kind.id}`} aria-label={say.change(kind.name)} aria-current={chosen}>
        <DeviceDrawing drawing={kind.drawing} height={44} />
        <span>
          <strong>{kind.name}</strong>
          <small>
            {[say.edition(kind.edition), say.by(kind.said.by ?? ''), say.used(kind.used)].join(', ')}
          </small>
        </span>
      </Link>
      <a
        href={`/api/service/kinds/${kind.id}`}
        download={`${kind.id}.kind.json`}
        aria-label={say.asFileOf(kind.name)}
      >
        {say.asFile}
      </a>
      {kind.used === 0 && (
        <Button aria-label={say.takeAwayOf(kind.name)} loading={away.busy} onClick={() => void away.run()}>
          {say.takeAway}
        </Button>
      )}
      <Faults refused={away.refused} />
    </li>
  )
}
