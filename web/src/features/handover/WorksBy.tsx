import { Button } from 'antd'
import { useCallback } from 'react'
import { api, must, type Desk } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { useTask } from '../../shared/ui'
import { say } from './sentences'
import styles from './works.module.css'

/** By what presses are decided, and how that becomes the other: the desk, or what really is on the devices. */
export function WorksBy({ desk }: { desk: Desk }) {
  const mayChange = useMayChange()
  const byDevices = desk.works_by === 'devices'
  const { run, busy } = useTask(
    useCallback(
      (by: Desk['works_by']) =>
        must(
          api.PUT('/api/clients/{client}/works-by', { params: { path: { client: desk.id } }, body: { by } }),
        ),
      [desk.id],
    ),
  )
  return (
    <p className={styles.works} data-by={desk.works_by} role="status">
      <span>{byDevices ? say.byDevices : say.byDesk(String(desk.revision.number))}</span>
      {mayChange && (
        <Button disabled={busy} onClick={() => void run(byDevices ? 'desk' : 'devices')}>
          {byDevices ? say.toDesk : say.toDevices}
        </Button>
      )}
    </p>
  )
}
