import { say } from './sentences'

/** What can be set of a button's time, by the names of docs/vocabulary.md. */
export const SETTING_NAMES: Record<string, string> = {
  long_press_ms: say.longPressTime,
  tap_gap_ms: say.tapGap,
  gap_bridge_ms: say.gapBridge,
  bounce_guard_ms: say.bounceGuard,
  brush_guard_ms: say.brushGuard,
}
