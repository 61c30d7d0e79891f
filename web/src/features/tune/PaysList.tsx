import { useId } from 'react'
import type { Finding } from '../../shared/api'
import { Fixes } from '../../shared/findings'
import { say } from './sentences'
import styles from './tune.module.css'

/** Who gains by it; and who pays: what comes later, breaks or can’t be saved, each with what would help. */
export function PaysList({ pays }: { pays: Finding[] }) {
  const gains = pays.filter((one) => one.bad === 'gain')
  const costs = pays.filter((one) => one.bad !== 'gain')
  return (
    <>
      {gains.length > 0 && <Told title={say.whoGains} list={gains} />}
      <Told title={say.whoPays} list={costs} />
    </>
  )
}

function Told({ title, list }: { title: string; list: Finding[] }) {
  const id = useId()
  return (
    <section aria-labelledby={id} className={styles.panel}>
      <h3 id={id}>{title}</h3>
      {list.length === 0 && <p>{say.nobodyPays}</p>}
      <ul className={styles.pays}>
        {list.map((one) => (
          <li key={one.id + String(one.where.gesture)} data-bad={one.bad}>
            <p>{one.what}</p>
            <Fixes finding={one} />
          </li>
        ))}
      </ul>
    </section>
  )
}
