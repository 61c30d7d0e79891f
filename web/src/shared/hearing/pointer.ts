import { swallow, type Ear, type Plug } from './ear'

/** The bits of `buttons`, lowest first, as the numbers of `button` (W3C Pointer Events). */
const BUTTON_OF_BIT = [0, 2, 1, 3, 4, 5]
/** What a swallowed press would otherwise set off. */
const FOLLOWERS = ['mousedown', 'mouseup', 'click', 'auxclick', 'dblclick', 'contextmenu'] as const

const kindOf = (type: string) => (type === 'pen' || type === 'touch' ? type : 'pointer')

/**
 * Every button of mouse, pen and touch. A second button pressed while one is down comes as
 * a pointermove with changed `buttons`, so the bits are compared rather than the event's kind.
 */
export const plugPointer: Plug = (ear) => {
  const masks = new Map<number, number>()
  const heard = new Set<string>()
  let lastKind = 'pointer'

  const onPointer = (event: PointerEvent) => {
    lastKind = kindOf(event.pointerType)
    const before = masks.get(event.pointerId) ?? 0
    const now = event.type === 'pointercancel' ? 0 : event.buttons
    masks.set(event.pointerId, now)
    if (before !== now) compare(event, before, now)
  }

  const compare = (event: PointerEvent, before: number, now: number) => {
    BUTTON_OF_BIT.forEach((button, bit) => {
      const isDown = (now >> bit) & 1
      if (isDown === ((before >> bit) & 1)) return
      const source = `${lastKind}:${String(button)}`
      if (isDown ? hearDown(ear, source, event) : heard.has(source)) {
        swallow(event)
        if (isDown) heard.add(source)
        else heard.delete(source)
        ear.hear({ source, edge: isDown ? 'down' : 'up', timeMs: event.timeStamp })
      }
    })
  }

  const hearDown = (to: Ear, source: string, event: PointerEvent) => to.wants(source, event.target)

  const onFollower = (event: MouseEvent) => {
    const button = event.type === 'contextmenu' && event.button === 0 ? 2 : event.button
    if (ear.wants(`${lastKind}:${String(button)}`, event.target)) swallow(event)
  }

  const pointerEvents = ['pointerdown', 'pointermove', 'pointerup', 'pointercancel'] as const
  pointerEvents.forEach((type) => window.addEventListener(type, onPointer, true))
  FOLLOWERS.forEach((type) => window.addEventListener(type, onFollower, true))
  return () => {
    pointerEvents.forEach((type) => window.removeEventListener(type, onPointer, true))
    FOLLOWERS.forEach((type) => window.removeEventListener(type, onFollower, true))
  }
}
