import {
  DndContext,
  DragOverlay,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragStartEvent,
} from '@dnd-kit/core'
import { useState, type ReactNode } from 'react'
import type { Carried, Chosen } from '../assign'
import styles from './lanes.module.css'

/** Chips may be dragged to another gesture; with Ctrl they are copied. Keys do the same: see useLaneKeys. */
export function Dragging(props: { onDrop: (carried: Carried, to: Chosen) => unknown; children: ReactNode }) {
  const { onDrop, children } = props
  const [name, setName] = useState<string>()
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
  )
  const onDragStart = ({ active }: DragStartEvent) => setName((active.data.current as Carried).name)
  const onDragEnd = ({ active, over, activatorEvent }: DragEndEvent) => {
    setName(undefined)
    if (!over || over.id === active.id) return
    const copy = activatorEvent instanceof MouseEvent && activatorEvent.ctrlKey
    void onDrop({ ...(active.data.current as Carried), copy }, over.data.current as Chosen)
  }
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      accessibility={{ announcements: SILENT }}
      onDragStart={onDragStart}
      onDragEnd={onDragEnd}
      onDragCancel={() => setName(undefined)}
    >
      {children}
      <DragOverlay dropAnimation={null}>{name && <span className={styles.dragged}>{name}</span>}</DragOverlay>
    </DndContext>
  )
}

/** What comes of it is announced when it is saved. */
const SILENT = {
  onDragStart: () => undefined,
  onDragOver: () => undefined,
  onDragEnd: () => undefined,
  onDragCancel: () => undefined,
}
