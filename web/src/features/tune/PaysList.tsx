import { Button } from 'antd'
import type { Change, Pays } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { say } from './sentences'
import styles from './tune.module.css'

/** Who pays for it: what comes later, breaks or can’t be saved, each with what would help. */
export function PaysList({ pays }: { pays: Pays[] }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  return (
    <section aria-labelledby="pays-title" className={styles.panel}>
      <h3 id="pays-title">{say.whoPays}</h3>
      {pays.length === 0 && <p>{say.nobodyPays}</p>}
      <ul className={styles.pays}>
        {pays.map((one) => (
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
