import { useEffect, useRef, useState, type CSSProperties, type KeyboardEvent, type PointerEvent } from 'react'
import type { Boundary } from '../../shared/api'
import type { StretchScale } from './scale'
import styles from './lanes.module.css'

export interface BoundaryDraft {
  setting: string
  valueMs: number
}

export const NAMES: Record<string, string> = {
  long_press_ms: 'Long-press time',
  tap_gap_ms: 'Tap gap',
  gap_bridge_ms: 'Gap bridge',
  bounce_guard_ms: 'Bounce guard',
  brush_guard_ms: 'Brush guard',
}
const STEP_MS = 10
const STEPS: Record<string, number> = {
  ArrowRight: STEP_MS,
  ArrowUp: STEP_MS,
  ArrowLeft: -STEP_MS,
  ArrowDown: -STEP_MS,
  PageUp: 100,
  PageDown: -100,
}
/** Arrow keys are saved once they have rested this long. */
const REST_MS = 700

interface Props {
  boundary: Boundary
  buttonName: string
  scale: StretchScale
  /** In which row below the strip its tag stands, for tags close to each other to stand apart. */
  row?: number
  /** Only to be looked at. */
  fixed?: boolean
  draft: BoundaryDraft | undefined
  onDraft: (draft: BoundaryDraft | undefined) => void
  onCommit: (draft: BoundaryDraft) => unknown
}

/** A boundary that can be dragged, moved with arrow keys, or typed. */
export function BoundaryHandle(props: Props) {
  const { boundary, buttonName, scale, row = 0, fixed = false, draft, onDraft, onCommit } = props
  const [typed, setTyped] = useState('')
  const rest = useRef<number>(undefined)
  /** What the drag has come to; state may not have been drawn yet when the pointer goes up. */
  const dragged = useRef<BoundaryDraft | 'nowhere'>(undefined)
  const value = draft?.valueMs ?? boundary.value_ms
  const name = `${NAMES[boundary.setting] ?? boundary.setting} of ${buttonName}`

  useEffect(() => () => window.clearTimeout(rest.current), [])

  const within = (ms: number) => Math.min(boundary.to_ms, Math.max(boundary.from_ms, ms))
  const move = (ms: number) => {
    const next = { setting: boundary.setting, valueMs: within(ms) }
    onDraft(next)
    return next
  }
  const commit = (next: BoundaryDraft | undefined) => {
    window.clearTimeout(rest.current)
    setTyped('')
    if (next) onCommit(next)
  }
  const drop = () => {
    window.clearTimeout(rest.current)
    setTyped('')
    onDraft(undefined)
  }

  const onKeyDown = (event: KeyboardEvent) => {
    if (fixed || event.ctrlKey || event.altKey || event.metaKey) return
    const step = STEPS[event.key]
    if (step !== undefined) {
      const next = move(value + step)
      window.clearTimeout(rest.current)
      rest.current = window.setTimeout(() => commit(next), REST_MS)
    } else if (/^\d$/.test(event.key)) {
      setTyped((text) => (text + event.key).slice(0, 4))
    } else if (event.key === 'Backspace' && typed) {
      setTyped(typed.slice(0, -1))
    } else if (event.key === 'Enter') {
      commit(typed ? move(Number(typed)) : draft)
    } else if (event.key === 'Escape' && (typed || draft)) {
      drop()
    } else if (event.key === 'Home' || event.key === 'End') {
      commit(move(event.key === 'Home' ? boundary.from_ms : boundary.to_ms))
    } else {
      return
    }
    event.preventDefault()
    event.stopPropagation()
  }

  const msAt = (event: PointerEvent<HTMLElement>) => {
    const strip = event.currentTarget.parentElement?.getBoundingClientRect()
    if (!strip || strip.width === 0) return value
    return Math.round(scale.ms((event.clientX - strip.left) / strip.width) / STEP_MS) * STEP_MS
  }
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (fixed || event.button !== 0) return
    dragged.current = 'nowhere'
    event.currentTarget.setPointerCapture(event.pointerId)
  }
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    if (dragged.current) dragged.current = move(msAt(event))
  }
  const onPointerUp = () => {
    const done = dragged.current
    dragged.current = undefined
    if (!done || done === 'nowhere') return
    if (done.valueMs === boundary.value_ms) drop()
    else commit(done)
  }

  return (
    <div
      role="slider"
      tabIndex={0}
      className={styles.boundary}
      data-moving={draft !== undefined}
      data-setting={boundary.setting}
      style={{ left: `${String(scale.percent(value))}%`, '--row': row } as CSSProperties}
      aria-label={name}
      aria-valuemin={boundary.from_ms}
      aria-valuemax={boundary.to_ms}
      aria-valuenow={value}
      aria-valuetext={`${String(value)} ms`}
      aria-readonly={fixed}
      onKeyDown={onKeyDown}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={() => {
        dragged.current = undefined
        drop()
      }}
      onBlur={() => commit(typed ? move(Number(typed)) : draft)}
    >
      <span className={styles.boundaryValue}>{typed ? `${typed}▏` : value}</span>
    </div>
  )
}
