import type { Button, Gesture } from '../../shared/api'

/** What the side sheet is about. */
export interface Chosen {
  button: Button
  gesture: Gesture
  /** Where the focus goes back to when the sheet closes. */
  returnTo?: HTMLElement
}
