import { swallow, type Plug } from './ear'

/** So far a smooth wheel turns for one step; a wheel with notches turns further at once. */
const STEP_PX = 40

type Way = 'up' | 'down' | 'left' | 'right'

function wayOf(event: WheelEvent): Way {
  if (Math.abs(event.deltaX) > Math.abs(event.deltaY)) return event.deltaX < 0 ? 'left' : 'right'
  return event.deltaY < 0 ? 'up' : 'down'
}

/** Steps of a wheel, and its tilt: notches without length. */
export const plugWheel: Plug = (ear) => {
  let turned: { way: Way; px: number } | undefined

  const onWheel = (event: WheelEvent) => {
    const way = wayOf(event)
    const delta = Math.max(Math.abs(event.deltaX), Math.abs(event.deltaY))
    const source = `wheel:${way}`
    if (delta === 0 || !ear.wants(source, event.target)) return
    swallow(event)
    const px = event.deltaMode === WheelEvent.DOM_DELTA_PIXEL ? delta : STEP_PX
    const all = (turned?.way === way ? turned.px : 0) + px
    turned = all < STEP_PX ? { way, px: all } : undefined
    if (!turned) ear.hear({ source, edge: 'notch', timeMs: event.timeStamp })
  }

  const options = { capture: true, passive: false }
  window.addEventListener('wheel', onWheel, options)
  return () => window.removeEventListener('wheel', onWheel, options)
}
