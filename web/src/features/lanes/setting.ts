import type { Boundary } from '../../shared/api'

/** The nearest that can be set, to be drawn meanwhile; what is saved the core brings to the nearest by itself. */
export function settable(
  { values_ms: values, from_ms: from, to_ms: to, step_ms: step }: Boundary,
  ms: number,
) {
  if (values)
    return values.reduce((best, one) => (Math.abs(one - ms) < Math.abs(best - ms) ? one : best), from)
  // In whole steps from the least, without the crumbs of binary figures.
  const steps = Math.round((ms - from) / step)
  return Math.min(to, Math.max(from, Number((from + steps * step).toFixed(3))))
}

/** So many steps on from a value. */
export function stepped(boundary: Boundary, ms: number, steps: number) {
  const { values_ms: values, step_ms: step } = boundary
  if (!values) return settable(boundary, ms + steps * step)
  const at = values.indexOf(settable(boundary, ms)) + steps
  return values[Math.min(values.length - 1, Math.max(0, at))] ?? ms
}
