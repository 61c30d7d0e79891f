import type { Gesture } from '../../shared/api'

export const GESTURES: { value: Gesture; word: string; short: string }[] = [
  { value: 'tap', word: 'tap', short: 'tap' },
  { value: 'double_tap', word: 'double-tap', short: 'double' },
  { value: 'triple_tap', word: 'triple-tap', short: 'triple' },
  { value: 'long_press', word: 'long-press', short: 'long' },
  { value: 'hold', word: 'hold', short: 'hold' },
]

export const wordOf = (gesture: Gesture) => GESTURES.find((one) => one.value === gesture)?.word ?? gesture
