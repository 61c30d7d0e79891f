import { Button, Input, Select } from 'antd'
import { useCallback, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import type { Host, ServiceKinds } from '../../shared/api'
import { DeviceDrawing, Field, FormOf, Leaving, useAnnounce, useTask, useUnsaved } from '../../shared/ui'
import { ButtonParts } from './ButtonParts'
import { without, type KindDocument } from './document'
import { Editions } from './Editions'
import { HostParts } from './HostParts'
import styles from './kinds.module.css'
import { Met } from './Met'
import { keep, useAsked } from './queries'
import { ReadyParts } from './ReadyParts'
import { say } from './sentences'
import { SYSTEMS } from './systems'

interface Props {
  document: KindDocument
  /** The one that is open; none for a new kind. */
  edition?: number
  kept: ServiceKinds
  onClose: () => void
}

/** All that is known of one kind, to be changed and kept as its next edition. */
export function KindEditor({ document, edition, kept, onClose }: Props) {
  const [now, setNow] = useState(document)
  const part = useRef<HTMLElement>(null)
  const { leaving, ask, stay, leave } = useUnsaved(part)
  const close = () => {
    if (ask(onClose)) onClose()
  }
  // Who goes on in view of somebody else's edition goes on from that one.
  const [openedOn, setOpenedOn] = useState(edition)
  const asked = useAsked()
  const navigate = useNavigate()
  const announce = useAnnounce()
  const set = (members: Partial<KindDocument>) => setNow((before) => ({ ...before, ...members }))
  const save = useTask(
    useCallback(
      async (on: number | undefined) => {
        const made = await keep(now, on ?? null)
        announce(say.kept(now.name, made.edition))
        await asked()
        await navigate(`/kinds/${made.id}`)
      },
      [now, announce, asked, navigate],
    ),
  )
  const title = edition === undefined ? say.newKind : now.name
  return (
    <section ref={part} className={styles.editor} aria-labelledby="kind-title">
      <div className={styles.head}>
        <DeviceDrawing
          drawing={{
            box: now.box,
            outline: now.outline,
            buttons: now.buttons.map(({ id, at }) => ({ id, at })),
          }}
          height={96}
        />
        <h2 id="kind-title">{title}</h2>
        <Button onClick={close}>{say.close}</Button>
      </div>
      {leaving && <Leaving onStay={stay} onLeave={leave} />}
      <FormOf onSubmit={() => save.run(openedOn)} refused={save.refused} aria-labelledby="kind-title">
        <div className={styles.pair}>
          <Field label={say.name} at="name">
            <Input
              required
              maxLength={120}
              value={now.name}
              onChange={(event) => set({ name: event.target.value })}
            />
          </Field>
          <Field label={say.words} at="words">
            <Input
              maxLength={500}
              value={now.words}
              onChange={(event) => set({ words: event.target.value })}
            />
          </Field>
        </div>
        <Field label={say.belongs} at="belongs">
          <Select<Host['system'] | ''>
            value={now.belongs ?? ''}
            options={[{ value: '', label: say.anywhere }, ...SYSTEMS.filter(({ value }) => now.hosts[value])]}
            onChange={(value) => {
              const rest = without(now, 'belongs')
              setNow(value === '' ? rest : { ...rest, belongs: value })
            }}
          />
        </Field>
        <ButtonParts document={now} onChange={set} />
        <HostParts
          document={now}
          blank={kept.blank as KindDocument}
          settings={kept.settings}
          onChange={set}
        />
        <ReadyParts steps={now.ready} onChange={(ready) => set({ ready })} />
        <Met
          refused={save.refused}
          onTop={(edition) => {
            setOpenedOn(edition)
            void save.run(edition)
          }}
        />
        <Button type="primary" htmlType="submit" loading={save.busy}>
          {openedOn === undefined ? say.keep : say.keepAs(openedOn + 1)}
        </Button>
      </FormOf>
      {edition !== undefined && <Editions id={document.id} edition={edition} />}
    </section>
  )
}
