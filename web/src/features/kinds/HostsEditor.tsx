import { Button } from 'antd'
import { useCallback, useRef, useState, type ChangeEvent } from 'react'
import type { Host, ServiceHosts } from '../../shared/api'
import { FormOf, Leaving, useAnnounce, useTask, useUnsaved } from '../../shared/ui'
import { HostPutRight, type CorrectedHost } from '../devices'
import { Editions } from './Editions'
import { fileOf, saysOf, withSaid } from './hostsDocument'
import styles from './kinds.module.css'
import { Met } from './Met'
import { keepHosts, useAsked } from './queries'
import { say } from './sentences'
import { SYSTEMS } from './systems'

type System = Host['system']

/** What the service says of hosts, by their sort: taken up where a client’s host is put right. */
export function HostsEditor({ hosts, onClose }: { hosts: ServiceHosts; onClose: () => void }) {
  const [document, setDocument] = useState(hosts.document)
  const [openedOn, setOpenedOn] = useState(hosts.edition)
  const [unreadable, setUnreadable] = useState<string>()
  const part = useRef<HTMLElement>(null)
  const { leaving, ask, stay, leave } = useUnsaved(part)
  const asked = useAsked()
  const announce = useAnnounce()
  const save = useTask(
    useCallback(
      async (on: number | null) => {
        await keepHosts(document, on)
        announce(say.hostsKept)
        await asked()
      },
      [document, announce, asked],
    ),
  )
  const onFile = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    const read = file && fileOf(await file.text())
    setUnreadable(file && !read ? say.noHostsFile(file.name) : undefined)
    if (read) setDocument(read)
  }
  return (
    <section ref={part} className={styles.editor} aria-labelledby="hosts-title">
      <div className={styles.head}>
        <span />
        <h2 id="hosts-title">{say.hostsOfService}</h2>
        <Button
          onClick={() => {
            if (ask(onClose)) onClose()
          }}
        >
          {say.close}
        </Button>
      </div>
      {leaving && <Leaving onStay={stay} onLeave={leave} />}
      <p>{say.hostsAbout}</p>
      <label className={styles.file}>
        {say.hostsFromFile}
        <input type="file" accept=".json,application/json" onChange={(event) => void onFile(event)} />
      </label>
      {unreadable && <p role="alert">{unreadable}</p>}
      <FormOf onSubmit={() => save.run(openedOn)} refused={save.refused} aria-labelledby="hosts-title">
        {SYSTEMS.map(({ value, label }) => (
          <HostPutRight
            key={value}
            title={say.everyHost(label)}
            usual={usualOf(hosts, value)}
            value={saysOf(document, value)}
            onChange={(says: CorrectedHost) => setDocument(withSaid(document, value, says))}
          />
        ))}
        <Met
          refused={save.refused}
          onTop={(edition) => {
            setOpenedOn(edition)
            void save.run(edition)
          }}
        />
        <Button type="primary" htmlType="submit" loading={save.busy}>
          {say.keepAs((openedOn ?? 0) + 1)}
        </Button>
      </FormOf>
      {hosts.edition !== null && <Editions id="hosts" edition={hosts.edition} />}
    </section>
  )
}

const usualOf = (hosts: ServiceHosts, system: System) =>
  hosts.usual.find((one) => one.system === system) ?? { lines: 1, steps: 1 }
