import { Button } from 'antd'
import { useState } from 'react'
import type { Change } from '../../shared/api'
import { useFormChange, usePreview } from '../../shared/fitting'
import { Looked } from './Looked'
import { say } from './sentences'
import styles from './files.module.css'

/** A fitting file in place of the fitting: what differs, then done; or only some of its devices. */
export function InPlace(props: { client: string; document: Record<string, unknown>; onCarry: () => void }) {
  const { client, document, onCarry } = props
  const [made] = useState<Change>({ kind: 'import', document })
  const { change, busy, openedOn, catchUp } = useFormChange()
  const preview = usePreview(client, made, openedOn)
  const same = preview.data?.words.length === 0
  return (
    <>
      <Looked preview={preview} onCatchUp={catchUp} />
      <p className={styles.row}>
        <Button
          type="primary"
          loading={busy}
          disabled={!preview.data || same}
          onClick={() => void change(made, say.inPlaceDone)}
        >
          {say.inPlace}
        </Button>
        <Button onClick={onCarry}>{say.carrySome}</Button>
      </p>
    </>
  )
}
