/** Which presses come out otherwise, and how many of them right that were wrong and wrong that were right. */
export function sides(before: string, after: string) {
  const changed = new Set<number>()
  let right = 0
  let wrong = 0
  for (let index = 0; index < after.length; index += 1) {
    if (before[index] === after[index]) continue
    changed.add(index)
    if (after[index] === 'r') right += 1
    else if (before[index] === 'r') wrong += 1
  }
  return { changed, right, wrong }
}
