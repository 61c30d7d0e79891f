import type { Compared } from '../../shared/api'
import styles from './compared.module.css'

/** A share as a line in its interval. */
export function Interval({ row }: { row: Compared }) {
  const at = (share: number) => `${String(share * 100)}%`
  return (
    <span className={styles.interval} aria-hidden="true">
      <i style={{ insetInlineStart: at(row.low), width: at(row.high - row.low) }} />
      {row.right !== null && <b style={{ insetInlineStart: at(row.right) }} />}
    </span>
  )
}
