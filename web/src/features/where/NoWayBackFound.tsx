import { Fixes } from '../../shared/findings'
import { useWhere } from '../../shared/fitting'
import { Notice } from '../../shared/ui'
import styles from './where.module.css'

/** Each with the press that puts it right. */
export function NoWayBackFound({ client }: { client: string }) {
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
