/** What a browser hears, however it is made. A source is a name such as "key:F6" or "pointer:3". */
export interface Heard {
  source: string
  /** A step of a wheel has no length; a level is followed as it rises and falls. */
  edge: 'down' | 'up' | 'notch' | 'level'
  /** Of a level: 0 to 1. */
  level?: number
  /** In the clock of event.timeStamp and performance.now(). */
  timeMs: number
}

export interface Ear {
  /** Is this source listened to? What is wanted is swallowed: nothing else on the page gets it. */
  wants: (source: string, target: EventTarget | null) => boolean
  hear: (heard: Heard) => void
}

/** Stops listening. */
export type Unplug = () => void
export type Plug = (ear: Ear) => Unplug

export function swallow(event: Event): void {
  event.preventDefault()
  event.stopImmediatePropagation()
}
