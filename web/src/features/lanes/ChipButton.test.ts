import { expect, it } from 'vitest'
import type { Chip, Lane } from '../../shared/api'
import { chipWidth } from './ChipButton'

// Where nothing is drawn a letter counts 8 px; a chip has 22 px around its words.
const chip = (name: string) =>
  ({ gesture: 'tap', name, wait: 'now', off: false, from: null, kept: false }) as unknown as Chip
const LANE = { limits: [] } as unknown as Lane

it.each([
  // name, room, width
  ['Page on', 400, 9 * 8 + 22],
  ['Page on', 60, 60],
  ['Page on', 40, 4 * 8 + 22],
  ['Livingroomlampswitch', 400, 22 * 8 + 22],
  // A word that is longer than its stretch goes on in a further line, and the chip keeps to the stretch.
  ['Livingroomlampswitch', 120, 120],
  ['Livingroomlampswitch', 40, 80 + 22],
])('draws “%s” with %i px of room %i px wide', (name, room, width) => {
  expect(chipWidth(chip(name), LANE, undefined, room)).toBe(width)
})
