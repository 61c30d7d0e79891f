import { Button } from 'antd'
import type { KindEdition, Refused } from '../../shared/api'
import { Faults } from '../../shared/ui'
import styles from './kinds.module.css'
import { useAsked } from './queries'
import { say } from './sentences'

/** Why it was not kept; where somebody kept another edition meanwhile, by whom, and the way on. */
export function Met({ refused, onTop }: { refused: Refused | undefined; onTop: (edition: number) => void }) {
  const asked = useAsked()
  const newer = (refused?.problem as { edition?: KindEdition } | undefined)?.edition
  if (!newer) return <Faults refused={refused} />
  return (
    <div role="alert" className={styles.newer}>
      <p>{say.newer(newer.said.by ?? '', newer.edition)}</p>
      <Button onClick={() => onTop(newer.edition)}>{say.onTop}</Button>
      <Button onClick={() => void asked()}>{say.theirs}</Button>
    </div>
  )
}
