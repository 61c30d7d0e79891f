import type { LaneGesture } from '../api'

export const SHAPES: Record<LaneGesture, string> = {
  tap: '•',
  double_tap: '••',
  triple_tap: '•••',
  long_press: '▬',
  hold: '▭',
  builtin: '•',
}

/** A gesture as its shape: dots for taps, a bar for what is held. The word stands beside it. */
export function GestureMark({ gesture }: { gesture: LaneGesture }) {
  return <span aria-hidden="true">{SHAPES[gesture]}</span>
}
