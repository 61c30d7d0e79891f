import { Button } from 'antd'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import styles from './devices.module.css'
import { say } from './sentences'

/** What was taken out; each comes back with everything it had. */
export function TakenOut({ items }: { items: { id: string; name: string }[] }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  if (items.length === 0) return null
  return (
    <section aria-labelledby="taken-out" className={styles.out}>
      <h3 id="taken-out">{say.takenOutAlone}</h3>
      <ul>
        {items.map((item, index) => (
          <li key={`${item.id} ${String(index)}`}>
            <span>{item.name}</span>
            {mayChange && (
              <Button
                disabled={busy}
                aria-label={say.bringBackWithName(item.name)}
                onClick={() => void change({ kind: 'bring_back', id: item.id }, say.back(item.name))}
              >
                {say.bringBack}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
