import { useState, type InputHTMLAttributes } from 'react'
import styles from './menu.module.css'

interface Props extends Pick<InputHTMLAttributes<HTMLInputElement>, 'aria-label' | 'aria-labelledby' | 'id'> {
  min: number
  max: number
  step?: number
  value: number
  /** What a value means, in words. */
  words: (value: number) => string
  /** Where it is while it moves. */
  onMove?: (value: number) => void
  /** Where it was brought to, once it is let go. */
  onDone?: (value: number) => void
}

/** A value between two ends, by the browser’s own slider: dragged, or moved with arrow keys. */
export function Range({ min, max, step = 1, value, words, onMove, onDone, ...named }: Props) {
  const [moving, setMoving] = useState<number>()
  const shown = moving ?? value
  const done = () => {
    if (moving !== undefined && moving !== value) onDone?.(moving)
    setMoving(undefined)
  }
  return (
    <input
      type="range"
      className={styles.range}
      {...{ min, max, step }}
      value={shown}
      aria-valuetext={words(shown)}
      title={words(shown)}
      onChange={({ target }) => {
        setMoving(Number(target.value))
        onMove?.(Number(target.value))
      }}
      onPointerUp={done}
      onKeyUp={done}
      onBlur={done}
      {...named}
    />
  )
}
