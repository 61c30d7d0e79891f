import type { Place } from '../../shared/api'
import { GestureMark } from '../../shared/ui'
import { say } from './sentences'
import styles from './modes.module.css'

/** So many are in sight; the rest is unfolded. */
const MOST = 6

type One = Place['assigned'][number]

/** What is assigned in a place or in a mode, by button and gesture; besides – the other of both, where it is not the usual. */
export function Assigned({ list, besides }: { list: One[]; besides: 'place' | 'mode' }) {
  if (list.length === 0) return <p className={styles.quiet}>{say.assigned(0)}</p>
  return (
    <>
      <Listed list={list.slice(0, MOST)} besides={besides} />
      {list.length > MOST && (
        <details>
          <summary>{say.moreAssigned(list.length - MOST)}</summary>
          <Listed list={list.slice(MOST)} besides={besides} />
        </details>
      )}
    </>
  )
}

function Listed({ list, besides }: { list: One[]; besides: 'place' | 'mode' }) {
  return (
    <ul className={styles.assigned}>
      {list.map((one) => (
        <li key={`${one.button_name} ${one.gesture} ${one[besides] ?? ''}`}>
          {one.button_name} <GestureMark gesture={one.gesture} />
          <span className="seen-by-readers-only"> {one.gesture_name}</span>{' '}
          <strong>{one.off ? <s>{one.name}</s> : one.name}</strong>
          {one[besides] && ` ${say.besides(besides, one[besides])}`}
        </li>
      ))}
    </ul>
  )
}
