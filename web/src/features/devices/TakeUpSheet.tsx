import { Button } from 'antd'
import { useQuery } from '@tanstack/react-query'
import { keys, type Change, type Desk } from '../../shared/api'
import { useFormChange, usePreview } from '../../shared/fitting'
import { SideSheet } from '../../shared/ui'
import { Moves } from '../confirm'
import { documentOf } from '../kinds'
import styles from './devices.module.css'
import { say } from './sentences'

/** Another edition of a kind, after a look at all that it changes for this client. */
export function TakeUpSheet({ desk, id, onClose }: { desk: Desk; id: string; onClose: () => void }) {
  const { change: save, busy, openedOn } = useFormChange()
  const document = useQuery({
    queryKey: keys.takeUp(id),
    queryFn: () => documentOf(id),
    gcTime: 0,
  })
  const change: Change | undefined = document.data && { kind: 'take_up_kind', document: document.data }
  const preview = usePreview(desk.id, change, openedOn)
  const told = preview.data && [...preview.data.words, ...preview.data.left_out, ...preview.data.notes]
  const name = document.data?.name ?? id
  const takeUp = async () => {
    if (change && (await save(change, say.isTakenUp(name), { tell: true }))) onClose()
  }
  const error = document.error ?? preview.error
  return (
    <SideSheet title={say.takeUpOf(name)} onClose={onClose}>
      <p>{say.takeUpAbout}</p>
      {error && <p role="alert">{error.message}</p>}
      {told && (
        <ul className={styles.told} aria-label={say.whatItChanges}>
          {told.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      <Moves moves={preview.data?.moves ?? []} seconds={desk.confirm_s} />
      <Button type="primary" disabled={!told || busy} onClick={() => void takeUp()}>
        {say.takeUp}
      </Button>
    </SideSheet>
  )
}
