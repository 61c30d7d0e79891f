import { Button } from 'antd'
import type { Shortlist } from '../../shared/api'
import { Dragging } from '../../shared/dragging'
import { say } from './sentences'
import styles from './where.module.css'

interface Props {
  list: Shortlist
  /** Lines that the host shows; those beyond are kept and not shown there. */
  most: number
  frozen: boolean
  onMove: (from: number, to: number) => void
}

/** The lines of a shortlist; moved by their buttons, or dragged. */
export function ShortlistLines({ list, most, frozen, onMove }: Props) {
  return (
    <Dragging
      take={(spot) => (frozen ? undefined : list.items[Number(spot)]?.name)}
      drop={(from, onto) => onMove(Number(from), Number(onto))}
    >
      <ol className={styles.lines}>
        {list.items.map((item, index) => (
          <Line
            key={`${String(index)} ${item.name}`}
            index={index}
            name={item.name}
            beyond={index >= most}
            last={index === list.items.length - 1}
            frozen={frozen}
            onMove={onMove}
          />
        ))}
      </ol>
    </Dragging>
  )
}

interface LineProps {
  index: number
  name: string
  beyond: boolean
  last: boolean
  frozen: boolean
  onMove: Props['onMove']
}

function Line({ index, name, beyond, last, frozen, onMove }: LineProps) {
  return (
    <li data-spot={String(index)} data-beyond={beyond}>
      <span>{name}</span>
      <Button
        aria-label={say.upOf(name)}
        disabled={frozen || index === 0}
        onClick={() => onMove(index, index - 1)}
      >
        ↑
      </Button>
      <Button
        aria-label={say.downOf(name)}
        disabled={frozen || last}
        onClick={() => onMove(index, index + 1)}
      >
        ↓
      </Button>
    </li>
  )
}
