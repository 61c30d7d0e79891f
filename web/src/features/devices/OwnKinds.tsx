import { Button, Select } from 'antd'
import { useCallback, useState, type ChangeEvent } from 'react'
import { api, must, type Change, type Kind, type OwnKind, type ServiceKind } from '../../shared/api'
import { useFormChange } from '../../shared/fitting'
import { Faults, Field, useAnnounce, useTask } from '../../shared/ui'
import { keep, useAsked } from '../kinds'
import styles from './devices.module.css'
import kindsStyles from './kinds.module.css'
import { say } from './sentences'

type Document = Extract<Change, { kind: 'kind' }>['document']

/** Kinds that no list has: read from a file, given away as one, taken out again. */
export function OwnKinds(props: {
  client: string
  own: readonly OwnKind[]
  kept: readonly ServiceKind[]
  shipped: readonly Kind[]
}) {
  const { client, own, kept, shipped } = props
  const { change, busy, refused } = useFormChange()
  const [chosen, setChosen] = useState<string>()
  const [unreadable, setUnreadable] = useState<string>()
  const onFile = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    const document = file && documentOf(await file.text())
    setUnreadable(file && !document ? say.noKindFile(file.name) : undefined)
    if (document) await change({ kind: 'kind', document }, say.kindIsRead(document.name))
  }
  const takeOut = (one: OwnKind) => void change({ kind: 'remove_kind', id: one.id }, say.takenOut(one.name))
  return (
    <section className={kindsStyles.group} aria-label={say.ownKinds}>
      <h3>{say.ownKinds}</h3>
      <p>{say.ownKindsAbout}</p>
      <label className={kindsStyles.file}>
        {say.kindFromFile}
        <input
          type="file"
          accept=".json,application/json"
          disabled={busy}
          onChange={(event) => void onFile(event)}
        />
      </label>
      {unreadable && <p role="alert">{unreadable}</p>}
      <Faults refused={refused} />
      <ul className={kindsStyles.ownKinds}>
        {own.map((one) => (
          <li key={one.id}>
            <strong>{one.name}</strong> <small>{say.broughtBy(one.said.by ?? say.somebody)}</small>
            <span className={styles.rowActions}>
              <a
                href={`/api/clients/${client}/kinds/${one.id}`}
                download={`${one.id}.kind.json`}
                aria-label={say.asFileOf(one.name)}
              >
                {say.asFile}
              </a>
              <ForTheService client={client} kind={one} kept={kept.some(({ id }) => id === one.id)} />
              {!one.used && (
                <Button
                  disabled={busy}
                  aria-label={say.takeOutWithName(one.name)}
                  onClick={() => takeOut(one)}
                >
                  {say.takeOut}
                </Button>
              )}
            </span>
          </li>
        ))}
      </ul>
      <Field label={say.beginWith} hint={say.beginWithHint}>
        <Select
          showSearch
          optionFilterProp="label"
          value={chosen}
          options={shipped.map((one) => ({ value: one.id, label: one.name }))}
          onChange={setChosen}
        />
      </Field>
      {chosen && (
        <a href={`/api/kinds/${chosen}`} download={`${chosen}.kind.json`}>
          {say.asFileOf(shipped.find((one) => one.id === chosen)?.name ?? chosen)}
        </a>
      )}
    </section>
  )
}

/** Keeps a kind of this client for all of the service. */
function ForTheService({ client, kind, kept }: { client: string; kind: OwnKind; kept: boolean }) {
  const asked = useAsked()
  const announce = useAnnounce()
  const give = useTask(
    useCallback(async () => {
      const path = { client, kind: kind.id }
      const document = await must(api.GET('/api/clients/{client}/kinds/{kind}', { params: { path } }))
      await keep(document, null)
      announce(say.isKeptForService(kind.name))
      await asked()
    }, [client, kind, announce, asked]),
  )
  if (kept) return null
  return (
    <>
      <Button
        loading={give.busy}
        aria-label={say.keepForServiceOf(kind.name)}
        onClick={() => void give.run()}
      >
        {say.keepForService}
      </Button>
      <Faults refused={give.refused} />
    </>
  )
}

/** What a file says, where it is a kind at all; what is wrong in it the server tells. */
function documentOf(text: string): Document | undefined {
  try {
    const read = JSON.parse(text) as unknown
    const kind = read as Partial<Document> | null
    return typeof kind === 'object' && kind?.kippen === 'kind/1' && kind.id && kind.name
      ? (kind as Document)
      : undefined
  } catch {
    return undefined
  }
}
