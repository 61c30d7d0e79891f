import type { Button, Gesture } from '../../shared/api'

/** What the side sheet is about. */
export interface Chosen {
  button: Button
  gesture: Gesture
  /** Further buttons that get the same. */
  also?: Button[]
}

/** What is being carried from one gesture to another. */
export interface Carried {
  button: Button
  gesture: Gesture
  name: string
  copy: boolean
}

/** The name by which the place of a gesture is found on the page again (data-spot). */
export function spotName(button: string, gesture: Gesture): string {
  // hold and long-press share a place
  return `${button} ${gesture === 'hold' ? 'long_press' : gesture}`
}
