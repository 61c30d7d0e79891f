import type { Desk } from '../../shared/api'
import { Fixes } from '../../shared/findings'
import { useWhere } from '../../shared/fitting'
import { Notice } from '../../shared/ui'
import styles from './where.module.css'

/** Modes that can’t be left again, told for as long as there are any; nothing is asked where there is no mode. */
export function NoWayBack({ desk }: { desk: Desk }) {
  return desk.modes.length > 1 ? <Found client={desk.id} /> : null
}

/** Each with the press that puts it right. */
function Found({ client }: { client: string }) {
  const found = useWhere(client).data?.no_way_back ?? []
  if (found.length === 0) return null
  return (
    <div className={styles.noWayBack}>
      {found.map((one) => (
        <Notice key={one.what} type="error" title={one.what} action={<Fixes finding={one} />} />
      ))}
    </div>
  )
}
