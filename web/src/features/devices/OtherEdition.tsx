import { Button } from 'antd'
import type { DeviceFacts } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { useServiceKinds } from '../kinds'
import styles from './devices.module.css'
import { say } from './sentences'

/** What the service keeps of a device’s kind is another edition: shown first, then taken up. */
export function OtherEdition({ device, onLook }: { device: DeviceFacts; onLook: (kind: string) => void }) {
  const kept = useServiceKinds(useMayChange()).data?.kinds.find((kind) => kind.id === device.kind)
  if (!kept || device.edition === kept.edition) return null
  return (
    <p className={styles.quiet}>
      {say.otherEdition(kept.edition, kept.said.by ?? '')}{' '}
      <Button aria-label={say.lookAtEditionOf(device.name)} onClick={() => onLook(kept.id)}>
        {say.lookAtEdition}
      </Button>
    </p>
  )
}
