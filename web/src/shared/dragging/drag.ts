/** So far a mouse goes before it drags, and a finger may tremble before it scrolls, in px. */
const AWAY_PX = 8
/** So long a finger rests before it drags, in ms. */
const REST_MS = 250
/** So far from the pointer stands what it drags, in px. */
const BESIDE_PX = 12

export interface DragDoes {
  /** What is dragged away from a place, by its name; undefined where nothing there can be. */
  take: (spot: string) => string | undefined
  /** copy – the Ctrl key was down */
  drop: (from: string, onto: string, copy: boolean) => void
}

const spotAt = (x: number, y: number): HTMLElement | undefined =>
  document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-spot]') ?? undefined

/**
 * Lets what stands in an element be dragged from one place (data-spot) to another, by a mouse or a finger. Until it lets go
 * nothing is drawn anew but the overlay and the place that would get it. Returns what ends it.
 */
export function startDrag(root: HTMLElement, overlay: HTMLElement, does: DragDoes): () => void {
  let held: { spot: string; x: number; y: number; copy: boolean } | undefined
  let dragging = false
  let over: HTMLElement | undefined
  let resting = 0

  const mark = (next: HTMLElement | undefined) => {
    if (over === next) return
    over?.removeAttribute('data-over')
    next?.setAttribute('data-over', 'true')
    over = next
  }
  const end = () => {
    window.clearTimeout(resting)
    mark(undefined)
    overlay.hidden = true
    held = undefined
    dragging = false
  }
  const begin = () => {
    const name = held && does.take(held.spot)
    if (!held || name === undefined) return end()
    dragging = true
    overlay.textContent = name
    overlay.hidden = false
    move(held.x, held.y)
  }
  const move = (x: number, y: number) => {
    overlay.style.translate = `${String(x + BESIDE_PX)}px ${String(y + BESIDE_PX)}px`
    mark(spotAt(x, y))
  }
  const onDown = (event: PointerEvent) => {
    const spot = (event.target as Element).closest<HTMLElement>('[data-spot]')?.dataset['spot']
    if (spot === undefined || event.button !== 0 || does.take(spot) === undefined) return
    held = { spot, x: event.clientX, y: event.clientY, copy: event.ctrlKey }
    if (event.pointerType !== 'mouse') resting = window.setTimeout(begin, REST_MS)
  }
  const onMove = (event: PointerEvent) => {
    if (!held) return
    const { clientX: x, clientY: y } = event
    if (dragging) move(x, y)
    else if (Math.hypot(x - held.x, y - held.y) >= AWAY_PX) {
      if (event.pointerType !== 'mouse') return end()
      begin()
      if (dragging) move(x, y)
    }
  }
  const onUp = (event: PointerEvent) => {
    if (held && dragging) {
      const onto = spotAt(event.clientX, event.clientY)?.dataset['spot']
      const { spot, copy } = held
      if (onto !== undefined && onto !== spot) does.drop(spot, onto, copy)
      // What was dragged was not pressed.
      window.addEventListener('click', swallow, { capture: true, once: true })
      window.setTimeout(() => window.removeEventListener('click', swallow, true))
    }
    end()
  }
  const onKey = (event: KeyboardEvent) => {
    if (!dragging || event.key !== 'Escape') return
    event.preventDefault()
    event.stopPropagation()
    end()
  }
  // The finger drags: the page does not go along.
  const onTouchMove = (event: TouchEvent) => {
    if (dragging) event.preventDefault()
  }
  root.addEventListener('pointerdown', onDown)
  root.addEventListener('touchmove', onTouchMove, { passive: false })
  window.addEventListener('pointermove', onMove)
  window.addEventListener('pointerup', onUp)
  window.addEventListener('pointercancel', end)
  window.addEventListener('keydown', onKey, true)
  return () => {
    end()
    root.removeEventListener('pointerdown', onDown)
    root.removeEventListener('touchmove', onTouchMove)
    window.removeEventListener('pointermove', onMove)
    window.removeEventListener('pointerup', onUp)
    window.removeEventListener('pointercancel', end)
    window.removeEventListener('keydown', onKey, true)
  }
}

function swallow(event: MouseEvent): void {
  event.preventDefault()
  event.stopPropagation()
}
