import { Button, QRCode } from 'antd'
import type { Join } from '../../shared/api'
import { OF_PEOPLE } from '../../shared/text'
import { THEMES } from '../../shared/theme'
import styles from './joining.module.css'
import { say } from './sentences'

const TIME = new Intl.DateTimeFormat(OF_PEOPLE, { hour: '2-digit', minute: '2-digit' })

/** A code that waits to be used: where to type it, and a picture to scan. */
export function CodeShown({ join, address, onEnd }: { join: Join; address: string; onEnd: () => void }) {
  const link = `${address}?code=${join.code ?? ''}`
  const lapses = TIME.format(new Date(join.expires_at))
  return (
    <section className={styles.waiting} aria-label={say.codeJoin}>
      <p>{join.lists === null ? say.open(join.host_name) : say.openAnywhere}</p>
      <p className={styles.address}>{address.replace(/^https?:\/\//, '')}</p>
      <p>{say.type}</p>
      <p className={styles.code} aria-label={say.code([...(join.code ?? '')].join(' '))}>
        {join.code}
      </p>
      <p>{say.scan}</p>
      <div aria-hidden="true">
        <QRCode
          value={link}
          type="canvas"
          size={200}
          color={THEMES.light.ink}
          bgColor={THEMES.light.white}
          bordered={false}
        />
      </div>
      <p>
        {join.lists === null ? say.lapsesLeadsOneDevice(lapses, join.host_name) : say.lapsesOpensList(lapses)}
      </p>
      <Button onClick={onEnd}>{say.takeCodeBack}</Button>
    </section>
  )
}
