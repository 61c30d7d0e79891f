import { Button } from 'antd'
import { useId } from 'react'
import type { Change, Pays } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { say } from './sentences'
import styles from './tune.module.css'

/** Who gains by it; and who pays: what comes later, breaks or can’t be saved, each with what would help. */
export function PaysList({ pays }: { pays: Pays[] }) {
  const gains = pays.filter((one) => one.kind === 'sooner')
  const costs = pays.filter((one) => one.kind !== 'sooner')
  return (
    <>
      {gains.length > 0 && <Told title={say.whoGains} list={gains} />}
      <Told title={say.whoPays} list={costs} />
    </>
  )
}

function Told({ title, list }: { title: string; list: Pays[] }) {
  const id = useId()
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  return (
    <section aria-labelledby={id} className={styles.panel}>
      <h3 id={id}>{title}</h3>
      {list.length === 0 && <p>{say.nobodyPays}</p>}
      <ul className={styles.pays}>
        {list.map((one) => (
          <li key={one.kind + String(one.gesture)} data-kind={one.kind}>
            <p>{one.words}</p>
            {mayChange &&
              one.remedies.map((remedy) => (
                <Button
                  key={remedy.words}
                  loading={busy}
                  onClick={() => void change(remedy.change as Change, remedy.words)}
                >
                  {remedy.words}
                </Button>
              ))}
          </li>
        ))}
      </ul>
    </section>
  )
}
