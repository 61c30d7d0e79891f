import type { Gesture } from '../../shared/api'
import { say } from './sentences'

const ALL: Gesture[] = ['tap', 'double_tap', 'triple_tap', 'long_press', 'hold']

export const GESTURES = ALL.map((value) => ({
  value,
  word: say.gestures[value],
  short: say.shortGestures[value],
}))

export const wordOf = (gesture: Gesture): string => say.gestures[gesture]
