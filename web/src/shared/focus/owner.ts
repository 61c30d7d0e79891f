/** What can have the focus, or leads to what can. */
const FOCUSABLE =
  'a[href], button:enabled, input:enabled, [tabindex]:not([tabindex="-1"]), [data-stop], [data-pane]'
/** So long a place is waited for that is to come with what is being saved, in ms. */
const WAIT_MS = 5000

/**
 * A way back to where the focus was: what had it, the place by its name (data-spot) where something else may stand by then,
 * and all that it stood in, from near to far.
 */
export interface WayBack {
  path: readonly Element[]
  spot: string | undefined
}

const wayTo = (target: Element): WayBack => {
  const path: Element[] = []
  for (let one: Element | null = target; one; one = one.parentElement) path.push(one)
  return { path, spot: target.closest<HTMLElement>('[data-spot]')?.dataset['spot'] }
}

const spotOf = (name: string) =>
  [...document.querySelectorAll<HTMLElement>('[data-spot]')].find((one) => one.dataset['spot'] === name)

const usable = (one: Element | null | undefined): one is HTMLElement =>
  one instanceof HTMLElement &&
  one.isConnected &&
  !one.matches(':disabled') &&
  one.checkVisibility?.() !== false

/** What is nearest to where something stood. */
function nearest({ path, spot }: WayBack): HTMLElement | undefined {
  const [had] = path
  if (usable(had)) return had
  // It can’t be worked for a moment, and stays where it is.
  if (had?.isConnected && had.matches(':disabled')) return undefined
  const now = spot === undefined ? undefined : spotOf(spot)
  if (usable(now)) return now
  for (const near of path.filter((one) => one.isConnected && one !== document.documentElement)) {
    const next = near.matches(FOCUSABLE) ? near : near.querySelector(FOCUSABLE)
    if (next instanceof HTMLElement) return next
  }
  return undefined
}

/**
 * The one owner of the focus. It never falls to the page itself: where what had it goes, it is given to what stands in its
 * place, or nearest to it. What opens takes it, and gives it back when it closes, whichever way.
 */
class Owner {
  private last: WayBack | undefined
  /** The way back to where it was before something opened that is closed now. */
  private back: WayBack | undefined
  /** A place that shall have it, once it is there; until when, by the clock of the page. */
  private expected: { spot: string; until: number } | undefined

  readonly onFocus = ({ target }: FocusEvent) => {
    if (target instanceof Element && target !== document.body) this.last = wayTo(target)
  }

  /** Whoever points elsewhere wants it elsewhere. */
  readonly onPointer = () => {
    this.last = undefined
    this.back = undefined
    this.expected = undefined
  }

  /** After something was drawn: is it still somewhere? */
  readonly look = () => {
    if (this.expected && this.come(this.expected.spot)) this.expected = undefined
    if (this.expected && performance.now() > this.expected.until) this.expected = undefined
    const way = this.back ?? this.last
    if (document.activeElement === document.body && way) give(nearest(way))
    if (document.activeElement !== document.body) this.back = undefined
  }

  /** The way back to where it is now. */
  wayBack(): WayBack | undefined {
    const { activeElement } = document
    return activeElement && activeElement !== document.body ? wayTo(activeElement) : this.last
  }

  /** Back to where it was, once what is being closed is gone; unless something else has taken it by then. */
  goBack(way: WayBack | undefined): void {
    this.back = way
    setTimeout(this.look)
  }

  /** To a place in the lanes: now, or once what is being saved has put something there. */
  expect(spot: string): void {
    this.expected = this.come(spot) ? undefined : { spot, until: performance.now() + WAIT_MS }
  }

  private come(spot: string): boolean {
    const there = spotOf(spot)
    const free = document.activeElement === document.body
    if (!usable(there) || (!free && there === document.activeElement)) return usable(there)
    if (free) give(there)
    return free
  }
}

function give(to: HTMLElement | undefined): void {
  to?.focus({ preventScroll: true })
}

export const owner = new Owner()
