import type { Ear, Unplug } from './ear'
import { plugGamepad } from './gamepad'
import { plugKeyboard } from './keyboard'
import { plugPointer } from './pointer'
import { plugWheel } from './wheel'

/** Listens to everything this browser can hear. */
export function plugIn(ear: Ear): Unplug {
  const plugs = [plugKeyboard(ear), plugPointer(ear), plugWheel(ear), plugGamepad(ear)]
  return () => plugs.forEach((unplug) => unplug())
}
