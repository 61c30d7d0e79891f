/** What can be set of a button's time, by the names of docs/vocabulary.md. */
export const SETTING_NAMES: Record<string, string> = {
  long_press_ms: 'Long-press time',
  tap_gap_ms: 'Tap gap',
  gap_bridge_ms: 'Gap bridge',
  bounce_guard_ms: 'Bounce guard',
  brush_guard_ms: 'Brush guard',
}
