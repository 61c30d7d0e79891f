import { Button, Select } from 'antd'
import { useState, type ChangeEvent } from 'react'
import { useKinds } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import type { KindDocument } from './document'
import styles from './kinds.module.css'
import { shippedDocument } from './queries'
import { say } from './sentences'

const NOTHING = ''

/** A new kind begins as nothing special, as one that ships, or as a file says. */
export function BeginKind({
  blank,
  onBegun,
}: {
  blank: KindDocument
  onBegun: (document: KindDocument) => void
}) {
  const shipped = useKinds()
  const [from, setFrom] = useState(NOTHING)
  const [unreadable, setUnreadable] = useState<string>()
  const begin = async () => onBegun(from === NOTHING ? blank : await shippedDocument(from))
  const onFile = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    if (!file) return
    const document = read(await file.text())
    setUnreadable(document ? undefined : say.noKindFile(file.name))
    if (document) onBegun(document)
  }
  return (
    <section className={styles.begin} aria-labelledby="begin-kind">
      <h2 id="begin-kind">{say.beginNew}</h2>
      <Field label={say.beginWith}>
        <Select
          showSearch
          optionFilterProp="label"
          value={from}
          onChange={setFrom}
          options={[
            { value: NOTHING, label: say.nothing },
            ...(shipped.data ?? []).map((one) => ({ value: one.id, label: one.name })),
          ]}
        />
      </Field>
      <Button onClick={() => void begin()}>{say.begin}</Button>
      <label className={styles.file}>
        {say.orRead}
        <input type="file" accept=".json,application/json" onChange={(event) => void onFile(event)} />
      </label>
      {unreadable && <p role="alert">{unreadable}</p>}
    </section>
  )
}

/** What a file says, where it has what the fields stand for; what is wrong in it the server tells. */
function read(text: string): KindDocument | undefined {
  try {
    const document = JSON.parse(text) as Partial<KindDocument> | null
    const whole =
      document?.kippen === 'kind/1' &&
      [document.buttons, document.ready, document.box].every(Array.isArray) &&
      typeof document.hosts === 'object'
    return whole ? (document as KindDocument) : undefined
  } catch {
    return undefined
  }
}
