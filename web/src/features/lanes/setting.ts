/** Of the values that can be set, from the least on, the nearest. */
export function nearest(values: number[], ms: number) {
  return values.reduce(
    (best, one) => (Math.abs(one - ms) < Math.abs(best - ms) ? one : best),
    values[0] ?? ms,
  )
}

/** So many values on from one that may lie between them. */
export function stepped(values: number[], ms: number, steps: number) {
  const before = values.filter((one) => one < ms).length
  const at = steps > 0 ? values.filter((one) => one <= ms).length - 1 : before
  return values[Math.min(values.length - 1, Math.max(0, at + steps))] ?? ms
}
