import { useEffect, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { say } from './sentences'

/** So high is the one line. */
export const LINE_PX = 56
const FIRST_PX = 240
const LEAST_PX = 150
const STEP_PX = 40
const KEPT = 'kippen.bench'
const KEPT_SCREEN = 'kippen.screen'
const SCREEN_PX = 400

const most = () => Math.max(LEAST_PX, Math.round(window.innerHeight * 0.7))
const within = (px: number) => (px >= LEAST_PX ? Math.min(most(), px) : LINE_PX)

/** How high the bench is: one line, or as much as somebody wants; kept for the next time. */
export function useBenchSize() {
  const [px, setPx] = useState(LINE_PX)
  const [wanted, setWanted] = useState(() => within(Number(localStorage.getItem(KEPT) ?? FIRST_PX)))
  const open = px > LINE_PX
  const [screen, setScreen] = useState(() => localStorage.getItem(KEPT_SCREEN) === 'yes')

  useEffect(() => {
    if (open) localStorage.setItem(KEPT, String(px))
  }, [open, px])

  const set = (next: number) => {
    setPx(within(next))
    if (within(next) > LINE_PX) setWanted(within(next))
  }
  /** The screens of the stand-in hosts need more room than presses. */
  const toggleScreen = () => {
    const shown = !(screen && open)
    localStorage.setItem(KEPT_SCREEN, shown ? 'yes' : 'no')
    setScreen(shown)
    if (shown) set(Math.max(px, SCREEN_PX))
  }
  const toggle = () => setPx(open ? LINE_PX : Math.max(wanted, LEAST_PX))
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.altKey || event.metaKey) return
    if (event.key === 'ArrowUp') set(open ? px + STEP_PX : LEAST_PX)
    else if (event.key === 'ArrowDown') set(px - STEP_PX)
    else if (event.key === 'Home') set(LINE_PX)
    else if (event.key === 'End') set(most())
    else return
    event.preventDefault()
  }
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button === 0) event.currentTarget.setPointerCapture(event.pointerId)
  }
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    if (event.currentTarget.hasPointerCapture(event.pointerId)) set(window.innerHeight - event.clientY)
  }
  return {
    px,
    open,
    toggle,
    screen,
    toggleScreen,
    grow: () => setPx((now) => (now > LINE_PX ? now : Math.max(wanted, LEAST_PX))),
    edge: {
      role: 'separator',
      tabIndex: 0,
      'aria-orientation': 'horizontal',
      'aria-label': say.heightBench,
      'aria-valuemin': LINE_PX,
      'aria-valuemax': most(),
      'aria-valuenow': px,
      onKeyDown,
      onPointerDown,
      onPointerMove,
    } as const,
  }
}
