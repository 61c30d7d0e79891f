import { useCallback, useEffect, useRef, type FocusEvent, type KeyboardEvent } from 'react'

const MARK = '[data-mark]'

/**
 * All marks of the picture are one stop for Tab: the one that had the focus last, else the first. Left and right lead along
 * a row, up and down to the nearest in the next. rows – how many there are: others are looked for where that changes
 */
export function useMarks(rows: number) {
  const root = useRef<HTMLElement>(null)
  const stop = useRef<HTMLElement>(null)
  const settle = useCallback((next: HTMLElement | null | undefined) => {
    if (stop.current && stop.current !== next) stop.current.tabIndex = -1
    if (next) next.tabIndex = 0
    stop.current = next ?? null
  }, [])
  useEffect(() => {
    if (!stop.current?.isConnected) settle(root.current?.querySelector<HTMLElement>(MARK))
  })
  useEffect(() => settle(root.current?.querySelector<HTMLElement>(MARK)), [rows, settle])

  const onFocus = ({ target }: FocusEvent) => {
    if (target instanceof HTMLElement && target.matches(MARK)) settle(target)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const here = event.target as HTMLElement
    if (!here.matches(MARK)) return
    const next = nextMark(root.current, here, event.key)
    if (!next) return
    next.focus()
    event.preventDefault()
  }
  return { root, onFocus, onKeyDown }
}

const leftOf = (mark: HTMLElement) => mark.getBoundingClientRect().left

export function nextMark(root: HTMLElement | null, here: HTMLElement, key: string): HTMLElement | undefined {
  const rows = [...(root?.querySelectorAll<HTMLElement>('[role=group]') ?? [])]
    .map((row) =>
      [...row.querySelectorAll<HTMLElement>(MARK)].sort((one, other) => leftOf(one) - leftOf(other)),
    )
    .filter((row) => row.length > 0)
  const at = rows.findIndex((row) => row.includes(here))
  const row = rows[at] ?? []
  const index = row.indexOf(here)
  switch (key) {
    case 'ArrowRight':
      return row[(index + 1) % row.length]
    case 'ArrowLeft':
      return row.at(index - 1)
    case 'Home':
      return row[0]
    case 'End':
      return row.at(-1)
    case 'ArrowDown':
      return nearest(rows[at + 1], here)
    case 'ArrowUp':
      return at > 0 ? nearest(rows[at - 1], here) : undefined
    default:
      return undefined
  }
}

function nearest(row: HTMLElement[] | undefined, here: HTMLElement): HTMLElement | undefined {
  const x = leftOf(here)
  return row?.reduce((best, one) => (Math.abs(leftOf(one) - x) < Math.abs(leftOf(best) - x) ? one : best))
}
