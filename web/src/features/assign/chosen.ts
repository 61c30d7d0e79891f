import type { Button, Device, Gesture } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'

/** What the side sheet is about. */
export interface Chosen {
  button: Button
  gesture: Gesture
  /** Further buttons that get the same. */
  also?: Button[]
}

/** What the sheet of a gesture is about, as far as its buttons are there. */
export function chosenOf(devices: Device[], sheet: SheetAddress | undefined): Chosen | undefined {
  if (sheet?.of !== 'gesture') return undefined
  const all = devices.flatMap((device) => device.buttons)
  const find = (ref: string) => all.find((one) => one.ref === ref)
  const button = find(sheet.button)
  return (
    button && {
      button,
      gesture: sheet.gesture,
      also: sheet.also.map(find).filter((one) => one !== undefined),
    }
  )
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
