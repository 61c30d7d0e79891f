import { useState } from 'react'
import type { Button, Desk } from '../../shared/api'
import { readBrought, type Brought } from './brought'
import { InPlace } from './InPlace'
import { PressesIn } from './PressesIn'
import { RecordingIn } from './RecordingIn'
import { TraceIn } from './TraceIn'
import { WholeIn } from './WholeIn'
import { say } from './sentences'
import { useBrought } from './sources'
import styles from './files.module.css'

/** A file somebody brings: what it is, what it would change, and then perhaps in. */
export function TakeIn(props: { desk: Desk; buttons: Button[]; onCarry: () => void }) {
  const { desk, buttons, onCarry } = props
  const [brought, setBrought] = useState<Brought>()
  const [unread, setUnread] = useState(false)
  const { bring } = useBrought(desk.id)
  const read = (file: File) =>
    readBrought(file)
      .then((one) => {
        setBrought(one)
        setUnread(false)
      })
      .catch(() => setUnread(true))
  return (
    <section aria-labelledby="files-in" className={styles.part}>
      <h3 id="files-in">{say.onIn}</h3>
      <p>{say.inHow}</p>
      <label className={styles.file}>
        {say.file}
        <input
          type="file"
          onChange={({ target }) => {
            const file = target.files?.[0]
            target.value = ''
            if (file) void read(file)
          }}
        />
      </label>
      {unread && <p role="alert">{say.unread}</p>}
      {brought && (
        <div className={styles.part}>
          <h4>{say.lookedAt(brought.name)}</h4>
          <One
            key={brought.id}
            desk={desk}
            buttons={buttons}
            brought={brought}
            onCarry={(document) => {
              bring({ name: brought.name, document })
              onCarry()
            }}
          />
        </div>
      )}
    </section>
  )
}

function One(props: {
  desk: Desk
  buttons: Button[]
  brought: Brought
  onCarry: (document: Record<string, unknown>) => void
}) {
  const { desk, buttons, brought, onCarry } = props
  switch (brought.is) {
    case 'fitting':
      return (
        <InPlace client={desk.id} document={brought.document} onCarry={() => onCarry(brought.document)} />
      )
    case 'whole':
      return <WholeIn desk={desk} id={brought.id} file={brought.document} />
    case 'trials':
      return <PressesIn client={desk.id} buttons={buttons} file={brought.document} />
    case 'trace':
      return <TraceIn client={desk.id} id={brought.id} text={brought.text} />
    case 'recording':
      return <RecordingIn client={desk.id} buttons={buttons} id={brought.id} base64={brought.base64} />
  }
}
