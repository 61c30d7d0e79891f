import type { Ear, Plug } from './ear'

/** A gamepad's own time is used where it lies this close to now. */
const FRESH_MS = 1000
/** Levels are told in steps of this size: fine enough for a press level, few enough to send. */
const LEVEL_STEP = 0.05
/** A stick at rest is never quite still. */
const REST = 0.15

const inSteps = (value: number) => Math.round(value / LEVEL_STEP) * LEVEL_STEP

/** Buttons, levels and axes of gamepads, looked at once a frame: the browser gives no events for them. */
export const plugGamepad: Plug = (ear) => {
  const down = new Set<string>()
  const levels = new Map<string, number>()
  /** Buttons that have shown a level between up and down: they give force too. */
  const analog = new Set<string>()
  let frame = 0

  const look = () => {
    for (const pad of navigator.getGamepads()) if (pad) lookAt(pad)
    frame = requestAnimationFrame(look)
  }

  const lookAt = (pad: Gamepad) => {
    const now = performance.now()
    const timeMs = pad.timestamp > 0 && Math.abs(now - pad.timestamp) < FRESH_MS ? pad.timestamp : now
    pad.buttons.forEach(({ pressed, value }, index) => {
      const level = `gamepad:${String(pad.index)}:level:${String(index)}`
      if (value > 0 && value < 1) analog.add(level)
      if (analog.has(level)) hearLevel(ear, level, value, timeMs)
      hearButton(ear, `gamepad:${String(pad.index)}:button:${String(index)}`, pressed, timeMs)
    })
    pad.axes.forEach((value, index) => {
      const axis = `gamepad:${String(pad.index)}:axis:${String(index)}`
      hearLevel(ear, `${axis}:-`, value < -REST ? -value : 0, timeMs)
      hearLevel(ear, `${axis}:+`, value > REST ? value : 0, timeMs)
    })
  }

  const hearButton = (to: Ear, source: string, pressed: boolean, timeMs: number) => {
    if (pressed === down.has(source)) return
    if (pressed && !to.wants(source, null)) return
    if (pressed) down.add(source)
    else down.delete(source)
    to.hear({ source, edge: pressed ? 'down' : 'up', timeMs })
  }

  const hearLevel = (to: Ear, source: string, value: number, timeMs: number) => {
    const level = Number(Math.min(1, inSteps(value)).toFixed(2))
    if (level === (levels.get(source) ?? 0) || !to.wants(source, null)) return
    levels.set(source, level)
    to.hear({ source, edge: 'level', level, timeMs })
  }

  if (typeof navigator.getGamepads !== 'function') return () => undefined
  frame = requestAnimationFrame(look)
  return () => cancelAnimationFrame(frame)
}
