import { Button } from 'antd'
import type { Change } from '../../shared/api'
import { useSaving } from '../../shared/fitting'
import { useAnnounce, Notice } from '../../shared/ui'
import { useLeftOver, type LeftOver } from './leftOver'
import styles from './assign.module.css'
import { say } from './sentences'

/** What was chosen and not put on before its sheet was left: it waits until somebody decides. */
export function NotPutOn({ client, onOpen }: { client: string; onOpen: (one: LeftOver) => void }) {
  const { all, drop } = useLeftOver(client)
  const { queue } = useSaving()
  const announce = useAnnounce()
  if (all.length === 0) return null
  const put = (one: LeftOver, change: Change) => {
    drop(one)
    // What is refused the desk keeps and tells.
    void queue
      .save({ made: change, openedOn: one.openedOn, options: {} })
      .then(() => announce(say.putOnAfterAll(one.title)))
      .catch(() => undefined)
  }
  return all.map((one) => (
    <Notice
      key={[...one.buttons, one.spot.place, one.spot.mode].join(' ')}
      type="info"
      className={styles.notPutOn}
      title={say.notPutOn(one.now.picked?.name ?? say.tapsChoice, one.title)}
      action={
        <span className={styles.leftOver}>
          {one.change && (
            <Button type="primary" onClick={() => one.change && put(one, one.change)}>
              {say.putItOn}
            </Button>
          )}
          <Button onClick={() => onOpen(one)}>{say.goOnChoosing}</Button>
          <Button onClick={() => drop(one)}>{say.leaveIt}</Button>
        </span>
      }
    />
  ))
}
