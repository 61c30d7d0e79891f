import { Button } from 'antd'
import type { Handovers } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { say } from './sentences'
import styles from './handover.module.css'

type GoneOne = Handovers['gone'][number]

/** Devices that the fitting has no more and that have something on them still. */
export function Gone({ gone, onEmpty }: { gone: GoneOne[]; onEmpty: (one: GoneOne) => void }) {
  const mayChange = useMayChange()
  if (gone.length === 0) return null
  return (
    <section aria-label={say.gone} className={styles.told}>
      <h3>{say.gone}</h3>
      <ul>
        {gone.map((one) => (
          <li key={one.device}>
            {say.goneHas(one.device)} {mayChange && <Button onClick={() => onEmpty(one)}>{say.empty}</Button>}
          </li>
        ))}
      </ul>
    </section>
  )
}
