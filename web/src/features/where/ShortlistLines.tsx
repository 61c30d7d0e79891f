import { DndContext, PointerSensor, useDraggable, useDroppable, useSensor, useSensors } from '@dnd-kit/core'
import { Button } from 'antd'
import { useCallback } from 'react'
import type { Shortlist } from '../../shared/api'
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
  // A tremor is no drag.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 12 } }))
  return (
    <DndContext
      sensors={sensors}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) onMove(Number(active.id), Number(over.id))
      }}
    >
      <ol className={styles.lines}>
        {list.items.map((item, index) => (
          <Line
            key={`${String(index)} ${item.name}`}
            index={index}
            name={item.name}
            over={index >= most}
            last={index === list.items.length - 1}
            frozen={frozen}
            onMove={onMove}
          />
        ))}
      </ol>
    </DndContext>
  )
}

interface LineProps {
  index: number
  name: string
  over: boolean
  last: boolean
  frozen: boolean
  onMove: Props['onMove']
}

function Line({ index, name, over, last, frozen, onMove }: LineProps) {
  const { setNodeRef: dropRef, isOver } = useDroppable({ id: index })
  const { setNodeRef: dragRef, listeners, transform } = useDraggable({ id: index, disabled: frozen })
  const ref = useCallback(
    (node: HTMLElement | null) => {
      dropRef(node)
      dragRef(node)
    },
    [dropRef, dragRef],
  )
  return (
    <li
      ref={ref}
      {...listeners}
      data-over={isOver}
      data-beyond={over}
      style={transform ? { transform: `translateY(${String(transform.y)}px)` } : undefined}
    >
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
