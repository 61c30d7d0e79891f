import { useEffect, useRef, useState, type CSSProperties, type KeyboardEvent, type PointerEvent } from 'react'
import type { Boundary } from '../../shared/api'
import { SETTING_NAMES } from '../assign'
import type { StretchScale } from './scale'
import { nearest, stepped } from './setting'
import styles from './boundary.module.css'
import { say } from './sentences'

export interface BoundaryDraft {
  setting: string
  valueMs: number
}

/** By so many steps. Up and down lead to other lanes. */
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, PageUp: 10, PageDown: -10 }
/** Where one reads from right to left, more lies to the left. */
const leftwards = (element: Element) => getComputedStyle(element).direction === 'rtl'
/** A hand that trembles moves it by less. */
const TREMOR_PX = 6

interface Props {
  boundary: Boundary
  /** What it is a boundary of: a device, or a button. */
  of: string
  scale: StretchScale
  /** In which row its tag stands, for tags close to each other to stand apart. */
  row?: number
  /** It stands by itself, in no pane of lanes that leads to it by arrow keys. */
  alone?: boolean
  /** Only to be looked at. */
  fixed?: boolean
  /** What can be set, from the least on, once it is known: see onHold. */
  values: number[] | undefined
  /** It is taken hold of, and may go so far. */
  onHold: (setting: string, toMs: number) => void
  draft: BoundaryDraft | undefined
  onDraft: (draft: BoundaryDraft | undefined) => void
  onCommit: (draft: BoundaryDraft) => unknown
}

interface Drag {
  fromX: number
  msPerPx: number
  /** Where it would be; it goes there once it is known what can be set. */
  wish?: number
  /** What it has come to; state may not have been drawn yet when the pointer goes up. */
  to?: BoundaryDraft
}

/** A boundary that can be dragged, moved with arrow keys, or typed. */
export function BoundaryHandle(props: Props) {
  const { boundary, of, scale, row = 0, values, draft, onHold, onDraft, onCommit } = props
  const fixed = props.fixed || boundary.from_ms === boundary.to_ms
  const [typed, setTyped] = useState('')
  // By keys it goes where it is to be, and is saved when that is confirmed or left: a slow hand needs its time.
  const [keyed, setKeyed] = useState(false)
  const drag = useRef<Drag>(undefined)
  /** Steps by keys that wait until it is known what can be set. */
  const steps = useRef(0)
  const value = draft?.valueMs ?? boundary.value_ms
  const name = say.ofIt(SETTING_NAMES[boundary.setting] ?? boundary.setting, of)

  const move = (ms: number) => {
    const next = { setting: boundary.setting, valueMs: ms }
    onDraft(next)
    return next
  }
  const drop = () => {
    drag.current = undefined
    steps.current = 0
    setTyped('')
    setKeyed(false)
    onDraft(undefined)
  }
  const commit = (next: BoundaryDraft | undefined) => {
    setTyped('')
    setKeyed(false)
    if (!next) return
    if (next.valueMs === boundary.value_ms) drop()
    else onCommit(next)
  }
  const confirm = () => commit(typed ? move(within(Number(typed))) : keyed ? draft : undefined)
  const within = (ms: number) => Math.min(boundary.to_ms, Math.max(boundary.from_ms, ms))

  const dragTo = (known: number[]) => {
    const now = drag.current
    if (now?.wish !== undefined) now.to = move(nearest(known, now.wish))
  }
  const goOn = (known: number[]) => {
    dragTo(known)
    if (steps.current === 0) return
    const next = stepped(known, value, steps.current)
    steps.current = 0
    // At the end of what is known there may be more.
    if (next === known.at(-1)) onHold(boundary.setting, next * 2)
    setKeyed(true)
    move(next)
  }
  const known = useRef(goOn)
  useEffect(() => {
    known.current = goOn
  })
  useEffect(() => {
    if (values) known.current(values)
  }, [values])

  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    if (fixed || event.ctrlKey || event.altKey || event.metaKey) return
    const by = STEPS[event.key]
    if (by !== undefined) {
      const turned = event.key.startsWith('Arrow') && leftwards(event.currentTarget)
      steps.current += turned ? -by : by
      onHold(boundary.setting, Math.max(scale.maxMs, value))
      if (values) goOn(values)
    } else if (/^\d$/.test(event.key)) {
      setTyped((text) => (text + event.key).slice(0, 4))
    } else if (event.key === 'Backspace' && typed) {
      setTyped(typed.slice(0, -1))
    } else if (event.key === 'Enter') {
      confirm()
    } else if (event.key === 'Escape' && (typed || draft || drag.current || steps.current)) {
      drop()
    } else if (event.key === 'Home' || event.key === 'End') {
      setTyped('')
      setKeyed(true)
      move(event.key === 'Home' ? boundary.from_ms : boundary.to_ms)
    } else {
      return
    }
    event.preventDefault()
    event.stopPropagation()
  }

  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (fixed || event.button !== 0) return
    const width = event.currentTarget.parentElement?.getBoundingClientRect().width ?? 0
    if (width === 0) return
    drag.current = {
      fromX: event.clientX,
      msPerPx: ((leftwards(event.currentTarget) ? -1 : 1) * scale.ms(1)) / width,
    }
    onHold(boundary.setting, scale.maxMs)
    event.currentTarget.setPointerCapture(event.pointerId)
  }
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    const now = drag.current
    if (!now) return
    const px = event.clientX - now.fromX
    if (now.wish === undefined && Math.abs(px) < TREMOR_PX) return
    // What the tremor would have moved it by does not count.
    const moved = px - Math.sign(px) * Math.min(TREMOR_PX, Math.abs(px))
    now.wish = boundary.value_ms + moved * now.msPerPx
    if (values) dragTo(values)
  }
  const onPointerUp = () => {
    const { wish, to } = drag.current ?? {}
    drag.current = undefined
    if (wish === undefined) return
    // Let go before it was known what can be set: the core brings it to the nearest.
    commit(to ?? move(within(Math.round(wish))))
  }

  return (
    <div
      role="slider"
      tabIndex={props.alone ? 0 : -1}
      data-stop
      className={styles.boundary}
      data-moving={draft !== undefined}
      data-keyed={keyed && !typed}
      data-setting={boundary.setting}
      style={{ insetInlineStart: `${String(scale.percent(value))}%`, '--row': row } as CSSProperties}
      aria-label={name}
      aria-valuemin={boundary.from_ms}
      aria-valuemax={boundary.to_ms}
      aria-valuenow={typed ? Number(typed) : value}
      aria-valuetext={typed || keyed ? say.msEnterSets(typed || String(value)) : say.ms(String(value))}
      aria-readonly={fixed}
      onKeyDown={onKeyDown}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={drop}
      onBlur={confirm}
    >
      <span className={styles.boundaryValue}>
        {typed ? `${typed}▏` : keyed ? `${String(value)} ↵` : value}
      </span>
    </div>
  )
}
