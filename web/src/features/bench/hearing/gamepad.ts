import type { Plug } from './ear'

/** A gamepad's own time is used where it lies this close to now. */
const FRESH_MS = 1000

/** Buttons of gamepads, looked at once a frame: the browser gives no events for them. */
export const plugGamepad: Plug = (ear) => {
  const down = new Set<string>()
  let frame = 0

  const look = () => {
    for (const pad of navigator.getGamepads()) {
      pad?.buttons.forEach((button, index) => {
        const source = `gamepad:${String(pad.index)}:button:${String(index)}`
        if (button.pressed === down.has(source)) return
        const now = performance.now()
        const timeMs = pad.timestamp > 0 && Math.abs(now - pad.timestamp) < FRESH_MS ? pad.timestamp : now
        if (button.pressed) {
          if (!ear.wants(source, null)) return
          down.add(source)
        } else {
          down.delete(source)
        }
        ear.hear({ source, edge: button.pressed ? 'down' : 'up', timeMs })
      })
    }
    frame = requestAnimationFrame(look)
  }

  if (typeof navigator.getGamepads !== 'function') return () => undefined
  frame = requestAnimationFrame(look)
  return () => cancelAnimationFrame(frame)
}
