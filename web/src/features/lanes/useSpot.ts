import { useDraggable, useDroppable } from '@dnd-kit/core'
import { useCallback } from 'react'
import { spotName, type Carried, type Chosen } from '../assign'

/** A place for a gesture's action: others may be dropped on it, and what it has dragged away. */
export function useSpot(target: Chosen, carried: Carried | undefined) {
  const id = spotName(target.button.ref, target.gesture)
  const { setNodeRef: dropRef, isOver } = useDroppable({ id, data: target })
  const { setNodeRef: dragRef, listeners } = useDraggable({
    id,
    data: carried ?? target,
    disabled: carried === undefined,
  })
  const ref = useCallback(
    (node: HTMLElement | null) => {
      dropRef(node)
      dragRef(node)
    },
    [dropRef, dragRef],
  )
  return { ...listeners, ref, 'data-spot': id, 'data-over': isOver }
}
