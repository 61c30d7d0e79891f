import { useLayoutEffect, type RefObject } from 'react'
import { owner } from './owner'

/** What opens takes the focus, and gives it back to where it was when it closes. */
export function useTakesFocus(first: RefObject<HTMLElement | null>): void {
  // As it closes, before anybody finds that the focus is lost.
  useLayoutEffect(() => {
    const way = owner.wayBack()
    first.current?.focus()
    return () => owner.goBack(way)
  }, [first])
}
