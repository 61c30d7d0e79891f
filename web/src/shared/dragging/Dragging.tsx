import { useCallback, useEffect, useRef, type ReactNode } from 'react'
import { startDrag, type DragDoes } from './drag'
import styles from './dragging.module.css'

/**
 * Lets what stands at one place in it (data-spot) be dragged to another. What is under the pointer is found when it is
 * needed: a hundred lanes are no hundred places that listen.
 */
export function Dragging({ children, ...does }: DragDoes & { children: ReactNode }) {
  const now = useRef<DragDoes>(does)
  useEffect(() => {
    now.current = does
  })
  const overlay = useRef<HTMLSpanElement>(null)
  const begin = useCallback((root: HTMLElement | null) => {
    if (!root || !overlay.current) return undefined
    return startDrag(root, overlay.current, {
      take: (spot) => now.current.take(spot),
      drop: (from, onto, copy) => now.current.drop(from, onto, copy),
    })
  }, [])
  return (
    <>
      <span ref={overlay} className={styles.dragged} aria-hidden="true" hidden />
      <div ref={begin} className={styles.ground}>
        {children}
      </div>
    </>
  )
}
