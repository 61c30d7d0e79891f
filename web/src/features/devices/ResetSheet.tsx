import { Button } from 'antd'
import type { Desk } from '../../shared/api'
import { useFormChange, usePreview } from '../../shared/fitting'
import { SideSheet } from '../../shared/ui'
import { Moves } from '../confirm'
import { say } from './sentences'

/** One device back to how it came, after a look at what goes. */
export function ResetSheet({ desk, id, onClose }: { desk: Desk; id: string; onClose: () => void }) {
  const { change: save, busy, openedOn } = useFormChange()
  const name = desk.hosts.flatMap((host) => host.devices).find((one) => one.id === id)?.name ?? id
  const change = { kind: 'reset' as const, device: id }
  const preview = usePreview(desk.id, change, openedOn)
  const words = preview.data?.words ?? []
  const reset = async () => {
    if (await save(change, say.backHowCameSaid(name))) onClose()
  }
  return (
    <SideSheet title={say.backHowCameWithName(name)} onClose={onClose}>
      <p>{say.everythingAssignedGoesWith}</p>
      {preview.error && <p role="alert">{preview.error.message}</p>}
      {preview.data && words.length === 0 && <p>{say.asCame}</p>}
      {words.length > 0 && (
        <ul aria-label={say.whatGoes}>
          {words.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      <Moves moves={preview.data?.moves ?? []} seconds={desk.confirm_s} />
      <Button type="primary" disabled={words.length === 0 || busy} onClick={() => void reset()}>
        {say.putBack(name)}
      </Button>
    </SideSheet>
  )
}
